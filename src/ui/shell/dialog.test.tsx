/** @jest-environment jsdom */
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { flushSync } from "react-dom";
import { createRoot } from "react-dom/client";
import { nativeDialogs } from "./__tests__/nativeDialogs";
import { Dialog } from "./Dialog";

beforeEach(nativeDialogs);

type Panel = "first" | "second" | null;

/** Two panels that a page opens by one state, as the face of a running day does. */
const TwoPanels = ({ panel, onClose }: { readonly panel: Panel; readonly onClose: () => void }) =>
  (["first", "second"] as const).map((each) => (
    <Dialog key={each} open={panel === each} onClose={onClose} title={each}>
      <button>before {each}</button>
      <button data-first>begin {each}</button>
    </Dialog>
  ));

/** A page of two panels, and what opens one of them. */
function openPage() {
  const page = render(<TwoPanels panel={null} onClose={() => show(null)} />);
  const show = (panel: Panel) => page.rerender(<TwoPanels panel={panel} onClose={() => show(null)} />);
  return show;
}

/** Open or not: a closed one has no name for those who see it not. */
const panel = (name: string) => document.querySelector<HTMLDialogElement>(`dialog[aria-label="${name}"]`)!;
/** The tasks that the browser puts off. */
const later = () => act(() => new Promise((resolve) => setTimeout(resolve, 5)));

test("a panel stands open, its first button with the focus, in the commit that asks for it", () => {
  // Without the test's own act, which would run what a page leaves for later.
  const isActing = Reflect.get(globalThis, "IS_REACT_ACT_ENVIRONMENT") as boolean;
  Reflect.set(globalThis, "IS_REACT_ACT_ENVIRONMENT", false);
  const root = createRoot(document.body.appendChild(document.createElement("div")));
  for (const shown of [null, "first"] as const)
    flushSync(() => root.render(<TwoPanels panel={shown} onClose={() => {}} />));
  expect(panel("first").open).toBe(true);
  expect(document.activeElement?.textContent).toBe("begin first");
  root.unmount();
  Reflect.set(globalThis, "IS_REACT_ACT_ENVIRONMENT", isActing);
});

test("one closed and another opened at once: the late word of the first closing leaves the second open", async () => {
  const show = openPage();
  for (const shown of ["first", null, "second"] as const) show(shown);
  await later();
  expect(panel("second").open).toBe(true);
  expect(screen.getByRole("button", { name: "begin second" })).toBeTruthy();
});

test("one that is opened again before the browser tells of its closing stays open", async () => {
  const show = openPage();
  for (const shown of ["first", null, "first"] as const) show(shown);
  await later();
  expect(panel("first").open).toBe(true);
  expect(screen.getByRole("button", { name: "begin first" })).toBeTruthy();
});

test("what the browser closes itself, as by Escape, is told; the cross closes it too, and it opens again", async () => {
  const show = openPage();
  show("first");
  act(() => panel("first").close());
  await later();
  expect(screen.queryByRole("button", { name: "begin first" })).toBeNull();
  show("first");
  expect(panel("first").open).toBe(true);
  await userEvent.setup().click(panel("first").querySelector("[aria-label=Close]")!);
  expect(panel("first").open).toBe(false);
  await later();
  show("second");
  expect(panel("second").open).toBe(true);
});
