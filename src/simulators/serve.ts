import { createServer, type Server, type Socket } from "node:net";
import { createKitchenOfStandIns, type DeviceAct } from "./kitchen";

/** How often the devices tell, ms. */
const TELL_EVERY_MS = 500;
const SEED = 7;

export interface ServedStandIns {
  readonly server: Server;
  close(): Promise<void>;
}

/**
 * The stand-ins behind a bridge on this machine: SenML lines out, acts in.
 * @param speed - Of their time: 1, 10 or 60.
 */
export function serveStandIns(port: number, speed: number): Promise<ServedStandIns> {
  const kitchen = createKitchenOfStandIns(SEED);
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    let rest = "";
    socket.setEncoding("utf8").on("data", (text: string) => {
      const lines = (rest + text).split("\n");
      rest = lines.pop() ?? "";
      for (const line of lines) {
        try {
          kitchen.act(JSON.parse(line) as DeviceAct);
        } catch {
          socket.write(`${JSON.stringify({ fault: "not an act" })}\n`);
        }
      }
    });
    socket.on("close", () => sockets.delete(socket)).on("error", () => sockets.delete(socket));
  });
  const timer = setInterval(() => {
    kitchen.step((TELL_EVERY_MS / 1000) * speed);
    const lines = kitchen.tell().join("");
    for (const socket of sockets) socket.write(lines);
  }, TELL_EVERY_MS);
  return new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", () =>
      resolve({
        server,
        close: () =>
          new Promise((done) => {
            clearInterval(timer);
            for (const socket of sockets) socket.destroy();
            server.close(() => done());
          }),
      }),
    );
  });
}
