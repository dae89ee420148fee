/** @jest-environment jsdom */
import { act, render, screen } from "@testing-library/react";
import type { LatestClient } from "@/workers/createLatestClient";
import { useLatest } from "./useLatest";

interface Asked {
  readonly book: { readonly name: string };
  readonly extras: readonly { readonly count: number }[];
}

function open() {
  const asked: Asked[] = [];
  let closed = 0;
  let mended = false;
  const client: LatestClient<Asked, string> = {
    run: (input) => {
      asked.push(input);
      return input.book.name === "ill" && !mended
        ? Promise.reject(new Error("The worker has stopped."))
        : Promise.resolve(`${input.book.name}:${input.extras.length}`);
    },
    close: () => void closed++,
  };
  interface ProbeProps {
    readonly input: Asked | null;
    readonly quietMs?: number;
    readonly isSeen?: boolean;
  }
  function Probe({ input, quietMs = 0, isSeen = true }: ProbeProps) {
    const { answer, isBusy, fault, askAgain } = useLatest(input, () => client, quietMs, isSeen);
    return (
      <>
        <p>{fault ?? `${answer?.output ?? "none"}${isBusy ? " busy" : ""}`}</p>
        <button onClick={askAgain}>again</button>
      </>
    );
  }
  return { asked, Probe, closed: () => closed, mend: () => (mended = true) };
}
const shown = () => screen.getByText(/./, { selector: "p" }).textContent;
const settle = () => act(async () => await new Promise((resolve) => setTimeout(resolve, 0)));

test("a question is asked once, however often it is put in another object, and again when a part of it differs", async () => {
  const { asked, Probe, closed } = open();
  const book = { name: "monday" };
  const { rerender, unmount } = render(<Probe input={{ book, extras: [{ count: 1 }] }} />);
  expect(shown()).toBe("none busy");
  await settle();
  expect(shown()).toBe("monday:1");
  rerender(<Probe input={{ book: { ...book }, extras: [{ count: 1 }] }} />);
  await settle();
  expect(asked).toHaveLength(1);
  rerender(<Probe input={{ book, extras: [{ count: 2 }] }} />);
  // The last answer stays until the next one comes.
  expect(shown()).toBe("monday:1 busy");
  await settle();
  expect([asked.length, shown()]).toEqual([2, "monday:1"]);
  rerender(<Probe input={null} />);
  await settle();
  expect(asked).toHaveLength(2);
  unmount();
  expect(closed()).toBe(1);
});

test("what is dear is asked only once the question has rested", async () => {
  jest.useFakeTimers();
  const { asked, Probe } = open();
  const input = (count: number) => ({ book: { name: "market" }, extras: [{ count }] });
  const { rerender } = render(<Probe input={input(1)} quietMs={400} />);
  for (const count of [2, 3, 4]) {
    act(() => void jest.advanceTimersByTime(300));
    rerender(<Probe input={input(count)} quietMs={400} />);
  }
  expect(asked).toHaveLength(0);
  await act(async () => await jest.advanceTimersByTimeAsync(400));
  expect(asked).toEqual([input(4)]);
  jest.useRealTimers();
});

test("a question that failed is said; another one, or the same asked again, is answered", async () => {
  const { asked, Probe, mend } = open();
  const ill = { book: { name: "ill" }, extras: [] };
  const { rerender } = render(<Probe input={ill} />);
  await settle();
  expect(shown()).toBe("The worker has stopped.");
  rerender(<Probe input={{ book: { name: "well" }, extras: [] }} />);
  await settle();
  expect(shown()).toBe("well:0");
  rerender(<Probe input={ill} />);
  await settle();
  expect(shown()).toBe("The worker has stopped.");
  mend();
  act(() => screen.getByRole("button").click());
  expect(shown()).toBe("well:0 busy");
  await settle();
  expect([asked.length, shown()]).toEqual([4, "ill:0"]);
});

test("while nobody sees the answer nothing is asked; seen again, what changed meanwhile is asked once", async () => {
  const { asked, Probe } = open();
  const input = (count: number) => ({ book: { name: "friday" }, extras: [{ count }] });
  const { rerender } = render(<Probe input={input(1)} isSeen={false} />);
  await settle();
  expect([asked.length, shown()]).toEqual([0, "none"]);
  rerender(<Probe input={input(1)} />);
  await settle();
  for (const count of [2, 3]) rerender(<Probe input={input(count)} isSeen={false} />);
  await settle();
  expect([asked.length, shown()]).toEqual([1, "friday:1"]);
  rerender(<Probe input={input(1)} isSeen={false} />);
  rerender(<Probe input={input(1)} />);
  await settle();
  // Scrolled away and back, and nothing is different: the answer still holds.
  expect(asked).toHaveLength(1);
  rerender(<Probe input={input(3)} />);
  await settle();
  expect(asked.map(({ extras }) => extras[0]!.count)).toEqual([1, 3]);
});
