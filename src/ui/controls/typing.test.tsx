/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { pieceLimits } from "@/schemas/limits";
import { commitTyped, type TypedField } from "../bench/typedFields";
import { Dial } from "./Dial";
import { TextField } from "./TextField";
import { useDraft } from "./useDraft";

function Fields({ onName, onMargin }: { onName: (name: string) => void; onMargin: (mm: number) => void }) {
  const [name, setName] = useState("Moon");
  const [marginMm, setMargin] = useState(13);
  return (
    <>
      <TextField
        label="Name"
        value={name}
        check={(text) => (text.trim() === "" ? "Needs a name." : null)}
        onCommit={(text) => {
          setName(text);
          onName(text);
        }}
      />
      <Dial
        limit={pieceLimits.marginMm}
        value={marginMm}
        onChange={(mm) => {
          setMargin(mm);
          onMargin(mm);
        }}
      />
    </>
  );
}

/** What leaving the page does. */
function leave(): readonly TypedField[] {
  let untold: readonly TypedField[] = [];
  act(() => {
    untold = commitTyped();
  });
  return untold;
}

const setUp = () => {
  const [onName, onMargin] = [jest.fn(), jest.fn()];
  render(<Fields onName={onName} onMargin={onMargin} />);
  return {
    onName,
    onMargin,
    user: userEvent.setup(),
    name: screen.getByLabelText("Name"),
    margin: screen.getByLabelText(pieceLimits.marginMm.label),
  };
};

test("what is typed is passed on when the field is left or Enter is pressed, and not before", async () => {
  const { onName, user, name } = setUp();
  await user.clear(name);
  await user.type(name, "Half moon");
  expect(onName).not.toHaveBeenCalled();
  await user.tab();
  expect(onName.mock.calls).toEqual([["Half moon"]]);
});

test("a page that goes away takes along what is typed and not yet left", async () => {
  const { onName, onMargin, user, name, margin } = setUp();
  await user.clear(name);
  await user.type(name, "Crescent");
  // Straight on, without leaving the field: as a reload or a print does.
  expect(leave()).toEqual([]);
  expect(onName.mock.calls).toEqual([["Crescent"]]);
  fireEvent.change(margin, { target: { value: "15" } });
  expect(leave()).toEqual([]);
  expect(onMargin.mock.calls).toEqual([[15]]);
  expect(leave()).toEqual([]);
});

test("what breaks a rule is not passed on, is named, and stays in the field", async () => {
  const { onName, onMargin, user, name, margin } = setUp();
  await user.clear(name);
  fireEvent.change(margin, { target: { value: "9000" } });
  expect(leave().map(({ label }) => label)).toEqual(["Name", pieceLimits.marginMm.label]);
  expect([onName.mock.calls, onMargin.mock.calls]).toEqual([[], []]);
  expect(screen.getAllByRole("alert").map(({ textContent }) => textContent)).toEqual([
    "Needs a name.",
    expect.stringContaining("too much"),
  ]);
  await user.type(margin, "{Escape}");
  await user.type(name, "{Escape}");
  expect(leave()).toEqual([]);
});

test("a text that belongs to no record yet outlives the page, until it is put where it belongs", () => {
  function Draft() {
    const [text, setText] = useDraft("paste");
    return <textarea aria-label="Text" value={text} onChange={(event) => setText(event.target.value)} />;
  }
  const first = render(<Draft />);
  fireEvent.change(screen.getByLabelText("Text"), { target: { value: "250 g flour" } });
  first.unmount();
  const second = render(<Draft />);
  expect(screen.getByLabelText<HTMLTextAreaElement>("Text").value).toBe("250 g flour");
  fireEvent.change(screen.getByLabelText("Text"), { target: { value: "" } });
  second.unmount();
  render(<Draft />);
  expect(screen.getByLabelText<HTMLTextAreaElement>("Text").value).toBe("");
});
