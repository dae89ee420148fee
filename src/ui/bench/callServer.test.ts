import { callServer, NotHandled, NotReached, readAnswer } from "./callServer";

const answerWith = (answer: () => Promise<Response>) => {
  globalThis.fetch = answer;
  return callServer("/api/anything", { withinMs: 1000, known: [404] });
};

test.each([
  ["no network", () => Promise.reject(new TypeError("fetch failed")), NotReached, "does not answer"],
  [
    "a proxy without its server",
    async () => new Response("<html>", { status: 502 }),
    NotReached,
    "answered 502",
  ],
  [
    "too many",
    async () => Response.json({ faults: [{ message: "Slower." }] }, { status: 429 }),
    NotReached,
    "Slower.",
  ],
  [
    "a refusal",
    async () => Response.json({ faults: [{ message: "Turned out." }] }, { status: 401 }),
    NotHandled,
    "Turned out.",
  ],
  ["a fault of the server", async () => new Response("", { status: 500 }), NotHandled, "answered 500"],
])("%s is told apart", async (_name, answer, kind, words) => {
  await expect(answerWith(answer)).rejects.toThrow(kind);
  await expect(answerWith(answer)).rejects.toThrow(words);
});

test("an answer that is known is given; one that cannot be read is a fault, one that breaks off is no network", async () => {
  expect((await answerWith(async () => new Response("", { status: 404 }))).status).toBe(404);
  await expect(readAnswer(new Response("<html>"), JSON.parse)).rejects.toThrow(NotHandled);
  const broken = new ReadableStream({ start: (stream) => stream.error(new TypeError("terminated")) });
  await expect(readAnswer(new Response(broken), JSON.parse)).rejects.toThrow(NotReached);
});
