/** @jest-environment jsdom */
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useRef, useState } from "react";
import { useKeptFocus } from "./useKeptFocus";

/** Rows of a figure and a button that removes it, above something else to do. */
function Rows({ first }: { readonly first: readonly string[] }) {
  const [rows, setRows] = useState(first);
  const root = useRef<HTMLElement>(null);
  useKeptFocus(root);
  return (
    <main ref={root}>
      {rows.length > 0 && (
        <ul>
          {rows.map((name) => (
            <li key={name}>
              <span>{name}</span>
              <input aria-label={`count of ${name}`} />
              <button type="button" onClick={() => setRows(rows.filter((each) => each !== name))}>
                {`remove ${name}`}
              </button>
            </li>
          ))}
        </ul>
      )}
      <button type="button">add</button>
    </main>
  );
}
const focused = () =>
  document.activeElement?.getAttribute("aria-label") ?? document.activeElement?.textContent;
const press = async (name: string) => {
  await userEvent.setup().click(screen.getByText(name));
  // Observers are told a turn later.
  await act(() => Promise.resolve());
};

test("the next row has the focus after a removal, the one before after the last, and what is beside when none is left", async () => {
  render(<Rows first={["a", "b", "c"]} />);
  await press("remove b");
  expect(focused()).toBe("count of c");
  await press("remove c");
  expect(focused()).toBe("count of a");
  await press("remove a");
  expect(focused()).toBe("add");
});

test("what is removed elsewhere leaves the focus where it is", async () => {
  const { rerender } = render(<Rows first={["a", "b"]} />);
  screen.getByLabelText("count of a").focus();
  rerender(<Rows first={["a", "b"]} />);
  screen.getByText("remove b").dispatchEvent(new MouseEvent("click", { bubbles: true }));
  await act(() => Promise.resolve());
  expect(focused()).toBe("count of a");
});
