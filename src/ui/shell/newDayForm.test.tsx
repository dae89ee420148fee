/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { fireEvent, screen } from "@testing-library/react";
import { pickRecords } from "@/schemas/recordTable";
import { NewDayForm } from "./NewDayForm";

beforeEach(() => {
  globalThis.fetch = (() => Promise.resolve({ ok: false })) as unknown as typeof fetch;
});

test("a day of last week is made at once, one long past only when it is meant, and another date is asked about anew", async () => {
  const made: string[] = [];
  const { user, store } = renderOnBench(<NewDayForm onDone={(date) => made.push(date)} />);
  const button = screen.getByRole<HTMLButtonElement>("button", { name: "Make this day" });
  const choose = (date: string) =>
    fireEvent.change(screen.getByLabelText("Date"), { target: { value: date } });
  choose("2026-11-17");
  expect(screen.queryByRole("alert")).toBeNull();
  expect(button.disabled).toBe(false);
  choose("2026-11-16");
  expect(screen.getByRole("alert").textContent).toContain("Mon 16 November 2026 is long past.");
  expect(button.disabled).toBe(true);
  await user.click(screen.getByRole("checkbox", { name: /Make it all the same/ }));
  expect(button.disabled).toBe(false);
  choose("2016-11-24");
  expect(button.disabled).toBe(true);
  await user.click(screen.getByRole("checkbox", { name: /Make it all the same/ }));
  await user.click(button);
  expect(made).toEqual(["2016-11-24"]);
  expect(pickRecords(store.getState().records, "day").map(({ date }) => date)).toContain("2016-11-24");
});
