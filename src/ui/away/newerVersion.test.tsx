/** @jest-environment jsdom */
import { address } from "../bench/__tests__/renderOnBench";
import { act, fireEvent, render, screen } from "@testing-library/react";
import { NewerVersion } from "./NewerVersion";
import { standBy, takeOver } from "./standBy";

class FakeWorker extends EventTarget {
  state = "installing";
  isRunning = false;
  readonly heard: unknown[] = [];
  postMessage(word: unknown, [port]: MessagePort[]): void {
    this.heard.push(word);
    port?.postMessage({ isRunning: this.isRunning });
  }
}
class FakeRegistration extends EventTarget {
  waiting: FakeWorker | null = null;
  installing: FakeWorker | null = null;
  asked = 0;
  update(): Promise<void> {
    this.asked++;
    return Promise.resolve();
  }
}
class FakeChannel {
  readonly port1 = { onmessage: undefined as ((event: { data: unknown }) => void) | undefined };
  readonly port2 = { postMessage: (data: unknown) => this.port1.onmessage?.({ data }) };
}
let registration: FakeRegistration;
let container: EventTarget & { controller: object | null; register: () => Promise<FakeRegistration> };

beforeEach(() => {
  jest.useFakeTimers();
  globalThis.MessageChannel = FakeChannel as unknown as typeof MessageChannel;
  registration = new FakeRegistration();
  container = Object.assign(new EventTarget(), {
    controller: {},
    register: () => Promise.resolve(registration),
  });
  Object.defineProperty(navigator, "serviceWorker", { value: container, configurable: true });
});
afterEach(() => {
  jest.useRealTimers();
  jest.replaceProperty(process, "env", { ...process.env, NODE_ENV: "test" });
});

const arrive = (worker: FakeWorker) => {
  registration.installing = worker;
  registration.dispatchEvent(new Event("updatefound"));
  registration.waiting = worker;
  worker.dispatchEvent(new Event("statechange"));
};

test("the first version takes over by itself; a newer one is told of, once it is all there", async () => {
  const told: unknown[] = [];
  const stop = standBy((worker) => told.push(worker), 4000);
  expect(registration.asked).toBe(0);
  container.controller = null;
  await jest.advanceTimersByTimeAsync(5000);
  arrive(new FakeWorker());
  expect(told).toEqual([]);
  container.controller = {};
  const newer = new FakeWorker();
  arrive(newer);
  expect(told).toEqual([newer]);
  await jest.advanceTimersByTimeAsync(3_600_000);
  expect(registration.asked).toBe(1);
  stop();
  await jest.advanceTimersByTimeAsync(3_600_000);
  expect(registration.asked).toBe(1);
});

test("whether a day runs on this device is the newer one's to say", async () => {
  const worker = new FakeWorker();
  const ask = () => takeOver(worker as unknown as ServiceWorker);
  expect(await ask()).toEqual({ isRunning: false });
  worker.isRunning = true;
  expect(await ask()).toEqual({ isRunning: true });
  expect(worker.heard).toEqual(["take over", "take over"]);
});

test("it asks before it takes over, waits for a run, and is not seen at one", async () => {
  jest.replaceProperty(process, "env", { ...process.env, NODE_ENV: "production" });
  address.pathname = "/day/2026-11-28/orders";
  const { rerender } = render(<NewerVersion />);
  await act(() => jest.advanceTimersByTimeAsync(5000));
  expect(screen.queryByRole("status")).toBeNull();
  const newer = new FakeWorker();
  newer.isRunning = true;
  act(() => arrive(newer));
  expect(screen.getByRole("status").textContent).toContain("A newer Tezgah is ready");
  expect(newer.heard).toEqual([]);
  fireEvent.click(screen.getByRole("button", { name: "Use it now" }));
  await act(() => jest.advanceTimersByTimeAsync(1));
  expect(screen.getByRole("status").textContent).toContain("A day runs on this device");
  address.pathname = "/run/2026-11-28";
  rerender(<NewerVersion />);
  expect(screen.queryByRole("status")).toBeNull();
  address.pathname = "/day/2026-11-28/mix";
  rerender(<NewerVersion />);
  fireEvent.click(screen.getByRole("button", { name: "Later" }));
  expect(screen.queryByRole("status")).toBeNull();
});

test("refused because of a run, a version that takes over later does not load the page anew under a hand", async () => {
  const off = jest.spyOn(container, "removeEventListener");
  jest.replaceProperty(process, "env", { ...process.env, NODE_ENV: "production" });
  address.pathname = "/day/2026-11-28/orders";
  render(<NewerVersion />);
  await act(() => jest.advanceTimersByTimeAsync(5000));
  const newer = new FakeWorker();
  newer.isRunning = true;
  act(() => arrive(newer));
  fireEvent.click(screen.getByRole("button", { name: "Use it now" }));
  await act(() => jest.advanceTimersByTimeAsync(1));
  expect(off).toHaveBeenCalledWith("controllerchange", expect.any(Function));
});
