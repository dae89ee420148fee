/** @jest-environment jsdom */
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { PASSED_ON, TYPED } from "../controls/passedOn";
import { useBenchKeys } from "./useBenchKeys";

let done: string[] = [];
function Fields() {
  useBenchKeys({
    signs: { "3": () => done.push("3") },
    undo: () => done.push("undo"),
    redo: () => done.push("redo"),
    find: () => done.push("find"),
  });
  return (
    <>
      <input aria-label="untouched" />
      <input aria-label="written" defaultValue="4" />
      <input aria-label="passed on" {...PASSED_ON} defaultValue="4" />
      <input aria-label="emptied" {...TYPED} defaultValue="" />
      <button type="button">elsewhere</button>
    </>
  );
}
beforeEach(() => {
  done = [];
  render(<Fields />);
});
const press = async (name: string, keys: string) => {
  (screen.queryByLabelText(name) ?? screen.getByText(name)).focus();
  await userEvent.setup().keyboard(keys);
  return done;
};

test.each([
  ["elsewhere", ["undo"]],
  ["passed on", ["undo"]],
  // A form's field in which nothing was written has nothing of its own to take back.
  ["untouched", ["undo"]],
  // What is being written is the field's own, be it that it was emptied.
  ["written", []],
  ["emptied", []],
])("Ctrl Z in a field that is %s", async (name, expected) => {
  expect(await press(name, "{Control>}z{/Control}")).toEqual(expected);
});

test("signs lead on everywhere but where something is written; find and redo answer everywhere", async () => {
  expect(await press("untouched", "3")).toEqual([]);
  expect(await press("elsewhere", "3")).toEqual(["3"]);
  expect(await press("written", "{Control>}k{/Control}")).toEqual(["3", "find"]);
  expect(await press("elsewhere", "{Control>}{Shift>}z{/Shift}{/Control}")).toEqual(["3", "find", "redo"]);
});
