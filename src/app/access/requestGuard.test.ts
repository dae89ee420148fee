import { execFileSync } from "node:child_process";

interface Asked {
  readonly peer: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly method?: string;
  readonly proxies?: string;
}
interface Judged {
  readonly passes: boolean;
  readonly status: number | null;
  readonly headers: Readonly<Record<string, string | undefined>>;
}

/** The server's own script judges these requests, in a process as it runs in. */
function judge(...asked: readonly Asked[]): Judged[] {
  const script = `
    import { createGuard } from "./scripts/requestGuard.mjs";
    const asked = ${JSON.stringify(asked)};
    console.log(JSON.stringify(asked.map(({ peer, headers = {}, method = "GET", proxies = "" }) => {
      const request = { method, url: "/api/enter", headers: { ...headers }, socket: { remoteAddress: peer } };
      let status = null;
      const response = { headersSent: false, setHeader() {}, writeHead(code) { status = code; }, end() {}, once() {} };
      const passes = createGuard({ TEZGAH_PROXIES: proxies })(request, response);
      return { passes, status, headers: request.headers };
    })));`;
  const said = execFileSync(process.execPath, ["--input-type=module", "-e", script], { encoding: "utf8" });
  return JSON.parse(said) as Judged[];
}

test("an address that is forwarded is believed from a named proxy alone, and then its last word", () => {
  const forwarded = {
    "x-forwarded-for": "6.6.6.6, 10.0.0.5",
    "x-forwarded-proto": "https",
    forwarded: "for=1.2.3.4",
  };
  const [guest, named, own, mapped, silent] = judge(
    { peer: "192.168.1.66", headers: forwarded },
    { peer: "192.168.1.2", headers: forwarded, proxies: "192.168.1.2, 2001:db8::2" },
    { peer: "127.0.0.1", headers: forwarded },
    { peer: "::ffff:192.168.1.66", headers: forwarded },
    { peer: "2001:db8::2", proxies: "2001:db8::2" },
  ).map(({ headers }) => headers);
  expect(guest).toEqual({ "x-forwarded-for": "192.168.1.66" });
  expect(mapped).toEqual({ "x-forwarded-for": "192.168.1.66" });
  for (const believed of [named, own])
    expect(believed).toMatchObject({ "x-forwarded-for": "10.0.0.5", "x-forwarded-proto": "https" });
  expect(silent).toEqual({ "x-forwarded-for": "2001:db8::2" });
});

test("methods that are not answered, and messages larger than the framework keeps, go no further", () => {
  const [trace, large] = judge(
    { peer: "127.0.0.1", method: "TRACE" },
    { peer: "127.0.0.1", method: "POST", headers: { "content-length": "10485761" } },
  );
  expect([trace!.passes, trace!.status, large!.passes, large!.status]).toEqual([false, 405, false, 413]);
  expect(() => judge({ peer: "127.0.0.1", proxies: "proxy.example" })).toThrow(
    /give each proxy by its IP address/,
  );
});
