import { createServer, type Server, type Socket } from "node:net";
import { createReadingBoard, type ReadingBoard } from "@/core/readings";
import { listenTo, type Listening } from "./listenTo";

let server: Server;
let sockets: Socket[];
let listening: Listening | null = null;
let board: ReadingBoard;
let port: number;

const listen = (at: number) =>
  new Promise<void>((resolve) => {
    sockets = [];
    server = createServer((socket) => sockets.push(socket)).listen(at, "127.0.0.1", () => {
      port = (server.address() as { port: number }).port;
      resolve();
    });
  });
const hush = () =>
  new Promise<void>((resolve) => {
    sockets.forEach((socket) => socket.destroy());
    server.close(() => resolve());
  });
async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 600 && !holds(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(holds()).toBe(true);
}

beforeEach(async () => {
  await listen(0);
  board = createReadingBoard();
  listening = listenTo(`127.0.0.1:${port}`, board, () => Date.now());
  await until(() => sockets.length === 1);
});
afterEach(async () => {
  listening?.close();
  await hush();
});
const say = (text: string) => sockets[0]!.write(text);
const last = (name: string) => board.list(Date.now()).find((each) => each.name === name)?.last?.value;

test("lines are heard however they are cut; nonsense between them is counted and harms nothing", async () => {
  say('[{"bn":"probe/","n":"1","u":"Cel","v":12.');
  await new Promise((resolve) => setTimeout(resolve, 30));
  say('5}]\nnot json\n{"no":"pack"}\n\n[{"n":"scale","u":"kg","v":0.25}]\n');
  await until(() => last("scale") === 250);
  expect(last("probe/1")).toBe(12.5);
  expect(board.listNonsense()).toEqual({ [`127.0.0.1:${port}`]: 2 });
});

test("a line without end is passed over to its end, and what comes after it is heard", async () => {
  for (let i = 0; i < 5; i++) say("x".repeat(8000));
  say('\n[{"n":"scale","u":"kg","v":0.5}]\n');
  await until(() => last("scale") === 500);
  expect(Object.values(board.listNonsense())).toEqual([1]);
});

test("a thousand lines in a second: the last usable ones count, the rest are told", async () => {
  for (let i = 0; i < 1000; i++) say(`[{"n":"mad","u":"Cel","v":${i % 50}}]\n`);
  await until(() => {
    const counts = board.list(Date.now())[0]?.counts;
    return counts !== undefined && counts.taken + counts.tooMany === 1000;
  });
  expect(board.list(Date.now())[0]!.counts.taken).toBeLessThan(200);
});

test("a bridge that vanishes and comes back is heard again", async () => {
  await hush();
  await listen(port);
  await until(() => sockets.length === 1);
  say('[{"n":"scale","u":"kg","v":1}]\n');
  await until(() => last("scale") === 1000);
}, 15_000);
