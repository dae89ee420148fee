import { readJson } from "./readJson";

const post = (body: ReadableStream<Uint8Array> | string, headers: Record<string, string> = {}) =>
  new Request("http://127.0.0.1/api", {
    method: "POST",
    headers: { "content-type": "application/json", host: "127.0.0.1", ...headers },
    body,
    // Node wants it said that the body is sent while the answer may come.
    ...(typeof body === "string" ? {} : { duplex: "half" }),
  });
const statusOf = async (request: Request) => {
  const read = await readJson(request, 100);
  return read.ok ? 200 : read.failure.status;
};
/** Sends some, and then so much as it is asked for. */
const stream = (pull: (controller: ReadableStreamDefaultController<Uint8Array>) => void) =>
  new ReadableStream<Uint8Array>({ pull });

test("an object comes in whole; what is none, is too long, or of another page, is refused by its own status", async () => {
  expect(await readJson(post('{"a":1}'), 100)).toEqual({ ok: true, value: { a: 1 } });
  expect(await statusOf(post("{"))).toBe(400);
  expect(await statusOf(post("{}", { "content-type": "text/plain" }))).toBe(415);
  expect(await statusOf(post(`"${"x".repeat(200)}"`))).toBe(413);
  const endless = stream((controller) => controller.enqueue(new Uint8Array(60)));
  expect(await statusOf(post(endless))).toBe(413);
});

test("who sends slower than any network is let go, and not held for ever", async () => {
  jest.useFakeTimers({ doNotFake: ["nextTick", "queueMicrotask", "setImmediate"] });
  try {
    const stuck = statusOf(post(stream(() => undefined)));
    await jest.advanceTimersByTimeAsync(21_000);
    expect(await stuck).toBe(408);
    expect(jest.getTimerCount()).toBe(0);
  } finally {
    jest.useRealTimers();
  }
});
