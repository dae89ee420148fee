/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, fireEvent, screen } from "@testing-library/react";
import { NeighbourMark } from "./NeighbourMark";
import { neighbours } from "./neighbours";
import { openLine } from "./openLine";

class FakeLine {
  static readonly CLOSED = 2;
  static opened: FakeLine[] = [];
  readyState = 1;
  onerror: () => void = () => undefined;
  isClosed = false;
  private readonly heard = new Map<string, (event: { data: string }) => void>();
  constructor(readonly url: string) {
    FakeLine.opened.push(this);
  }
  addEventListener(event: string, hear: (event: { data: string }) => void): void {
    this.heard.set(event, hear);
  }
  say(event: string, data: object): void {
    this.heard.get(event)?.({ data: JSON.stringify(data) });
  }
  close(): void {
    this.isClosed = true;
  }
}
const asSeen = (state: "visible" | "hidden") => {
  Object.defineProperty(document, "visibilityState", { value: state, configurable: true });
  document.dispatchEvent(new Event("visibilitychange"));
};
const place = "/day/2026-11-28/orders";
const other = { deviceId: "other", name: "A phone", at: place, field: null as string | null };
const told: object[] = [];

beforeEach(() => {
  FakeLine.opened = [];
  told.length = 0;
  globalThis.EventSource = FakeLine as unknown as typeof EventSource;
  globalThis.fetch = jest.fn((_: string, { body }: { body: string }) => {
    told.push(JSON.parse(body) as object);
    return Promise.resolve({ ok: true });
  }) as unknown as typeof fetch;
  window.history.replaceState(null, "", place);
  neighbours.setState({ others: [] });
});

test("a page that nobody sees lets its line go, and asks for what it missed when it is looked at again", () => {
  let revision = 4;
  const news: object[] = [];
  const close = openLine(
    { deviceId: "me", name: "A tablet", at: () => place },
    { readMark: () => ({ epoch: "file", revision }), onNews: (each) => news.push(each) },
  );
  FakeLine.opened[0]!.say("changed", { revision: 5 });
  expect(news).toEqual([{ revision: 5 }]);
  revision = 5;
  asSeen("hidden");
  expect(FakeLine.opened[0]!.isClosed).toBe(true);
  asSeen("visible");
  expect(FakeLine.opened).toHaveLength(2);
  expect(new URL(FakeLine.opened[1]!.url, "http://bench").searchParams.get("revision")).toBe("5");
  close();
  expect(FakeLine.opened[1]!.isClosed).toBe(true);
  asSeen("hidden");
  asSeen("visible");
  expect(FakeLine.opened).toHaveLength(2);
});

test("a line that breaks is the browser's to mend; one that is answered otherwise is asked for again after a while", () => {
  jest.useFakeTimers();
  const close = openLine(
    { deviceId: "me", name: "A tablet", at: () => place },
    { readMark: () => ({ epoch: "file", revision: 1 }) },
  );
  const [line] = FakeLine.opened;
  line!.readyState = 0;
  line!.onerror();
  jest.advanceTimersByTime(60_000);
  expect(FakeLine.opened).toHaveLength(1);
  line!.readyState = FakeLine.CLOSED;
  line!.onerror();
  expect(FakeLine.opened).toHaveLength(1);
  jest.advanceTimersByTime(60_000);
  expect(FakeLine.opened).toHaveLength(2);
  FakeLine.opened[1]!.readyState = FakeLine.CLOSED;
  FakeLine.opened[1]!.onerror();
  close();
  jest.advanceTimersByTime(60_000);
  expect(FakeLine.opened).toHaveLength(2);
  jest.useRealTimers();
});

test("with the line broken nobody is said to be there", () => {
  const heard: number[] = [];
  const links: boolean[] = [];
  const close = openLine(
    { deviceId: "me", name: "A tablet", at: () => place },
    {
      readMark: () => ({ epoch: "file", revision: 1 }),
      onNeighbours: (others) => heard.push(others.length),
      onLink: (isLinked) => links.push(isLinked),
    },
  );
  FakeLine.opened[0]!.say("here", { others: [other] });
  FakeLine.opened[0]!.onerror();
  expect(heard).toEqual([1, 0]);
  // Answered otherwise than with a line, the server is there all the same.
  FakeLine.opened[0]!.readyState = FakeLine.CLOSED;
  FakeLine.opened[0]!.onerror();
  expect(links).toEqual([true, false]);
  close();
});

test("who looks at the same day is said; who is elsewhere is not; the field of another is marked where it stands", () => {
  renderOnBench(
    <main>
      <NeighbourMark />
      <label>
        Clean margin <input defaultValue="9" />
      </label>
      <label>
        Plumpness <input defaultValue="80" />
      </label>
    </main>,
  );
  expect(screen.queryByRole("status")).toBeNull();
  act(() => neighbours.setState({ others: [{ ...other, at: "/day/2026-12-05/orders" }] }));
  expect(screen.queryByRole("status")).toBeNull();
  act(() => neighbours.setState({ others: [other, { ...other, deviceId: "third" }] }));
  expect(screen.getByRole("status").textContent).toContain("2 others are looking too");
  act(() => neighbours.setState({ others: [{ ...other, field: "Clean margin" }] }));
  expect(screen.getByRole("status").textContent).toContain("A phone is in “Clean margin”");
  const [margin, plumpness] = [screen.getByLabelText("Clean margin"), screen.getByLabelText("Plumpness")];
  expect([margin.dataset.neighbour, plumpness.dataset.neighbour]).toEqual(["A phone", undefined]);
  act(() => neighbours.setState({ others: [other] }));
  expect(margin.dataset.neighbour).toBeUndefined();
});

test("which field this hand is in is told, and that it left it; walking through tells only where it stays", async () => {
  jest.useFakeTimers();
  renderOnBench(
    <main>
      <NeighbourMark />
      <input aria-label="One" />
      <input aria-label="Two" />
    </main>,
  );
  await jest.advanceTimersByTimeAsync(500);
  fireEvent.focusIn(screen.getByLabelText("One"));
  fireEvent.focusOut(screen.getByLabelText("One"));
  fireEvent.focusIn(screen.getByLabelText("Two"));
  await jest.advanceTimersByTimeAsync(500);
  fireEvent.focusOut(screen.getByLabelText("Two"));
  await jest.advanceTimersByTimeAsync(500);
  expect(told).toMatchObject([
    { at: place, field: null },
    { at: place, field: "Two" },
    { at: place, field: null },
  ]);
  jest.useRealTimers();
});
