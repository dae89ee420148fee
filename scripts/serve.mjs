// Serves the built application: the framework's own request handler behind a server that is strict about who may say what,
// and how long a request may take. `node scripts/serve.mjs`, with HOST, PORT and TEZGAH_DATA.
import { createServer } from "node:http";
import { createGuard, LIMITS } from "./requestGuard.mjs";

// Whatever is written is the owner's alone to read.
process.umask(0o077);

const hostname = process.env.HOST || "127.0.0.1";
const port = Number(process.env.PORT || 3000);

// The framework reads which of its builds it is when it is loaded.
process.env.NODE_ENV = "production";
const { default: next } = await import("next");
const app = next({ dev: false, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();
const guard = createGuard(process.env);

const server = createServer(
  {
    headersTimeout: LIMITS.headersMs,
    // The guard times bodies: a copy of a large file may take longer than any one figure for all.
    requestTimeout: 0,
    connectionsCheckingInterval: LIMITS.checkMs,
  },
  (request, response) => {
    if (guard(request, response)) void handle(request, response);
  },
);
// Two round trips of a sleepy tablet: a spare connection costs next to nothing.
server.keepAliveTimeout = LIMITS.keepAliveMs;
server.listen(port, hostname, () => console.log(`Ready on http://${hostname}:${port}`));

for (const signal of ["SIGTERM", "SIGINT"])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
  });
