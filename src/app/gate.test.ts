import os from "node:os";
import fc from "fast-check";
import { listHouseNames, turnAway, writeContentPolicy, type Caller } from "./gate";

const names = listHouseNames({ HOST: "0.0.0.0", TEZGAH_HOSTS: "Bench.Example, ovens.example" });
const get = (host: string | null): Caller => ({
  ...{ method: "GET", pathname: "/day/2026-11-28/orders", host, origin: null, fetchSite: null },
});
const post = (more: Partial<Caller>): Caller => ({ ...get("192.168.1.7:3000"), method: "POST", ...more });

test.each([
  "127.0.0.1:3000",
  "192.168.1.7",
  "[::1]:3000",
  "localhost:3000",
  "BENCH.example",
  "ovens.example:443",
  os.hostname(),
])("by %s the bench may be asked for", (host) => expect(turnAway(get(host), names)).toBeNull());

test.each([
  null,
  "",
  "evil.example",
  "evil.example:3000",
  "127.0.0.1.evil.example",
  "a@127.0.0.1",
  "127.0.0.1/x",
  "localhost.evil.example",
])("by %s it may not, whatever is asked", (host) => {
  expect(turnAway(get(host), names)).toMatchObject({
    status: 421,
    message: expect.stringContaining("TEZGAH_HOSTS"),
  });
});

test("a name that was made to point here is turned away with its own origin too", () => {
  const rebound = post({ host: "evil.example", origin: "http://evil.example", fetchSite: "same-origin" });
  expect(turnAway(rebound, names)).toMatchObject({ status: 421 });
});

test("what changes something comes from a page of this address, or from a program that is no page", () => {
  expect(turnAway(post({}), names)).toBeNull();
  expect(turnAway(post({ origin: "http://192.168.1.7:3000", fetchSite: "same-origin" }), names)).toBeNull();
  for (const origin of ["http://192.168.1.7", "http://192.168.1.8:3000", "null", "http://evil.example"])
    expect(turnAway(post({ origin }), names)).toMatchObject({ status: 403 });
  // A page that hides its origin is still said by its browser to be another's.
  for (const fetchSite of ["cross-site", "same-site"])
    expect(turnAway(post({ fetchSite }), names)).toMatchObject({ status: 403 });
  expect(turnAway({ ...post({ origin: "http://evil.example" }), method: "GET" }, names)).toBeNull();
});

test("a page elsewhere may link to a page and asks nothing of the API, reading neither; typed addresses and programs may", () => {
  const ask = (more: Partial<Caller>) =>
    turnAway({ ...get("192.168.1.7:3000"), pathname: "/api/copies/lines", ...more }, names);
  for (const fetchSite of ["cross-site", "same-site"]) {
    expect(ask({ fetchSite })).toMatchObject({ status: 403 });
    expect(ask({ fetchSite, pathname: "/day/2026-11-28/orders" })).toBeNull();
  }
  for (const fetchSite of ["same-origin", "none", null]) expect(ask({ fetchSite })).toBeNull();
});

test("whatever stands in the headers is judged and never thrown at, and what is said of it is short", () => {
  fc.assert(
    fc.property(
      fc.option(fc.string({ unit: "binary" })),
      fc.option(fc.string()),
      fc.option(fc.string()),
      (host, origin, fetchSite) => {
        const turned = turnAway(post({ host, origin, fetchSite }), names);
        expect(turned?.message.length ?? 0).toBeLessThan(260);
      },
    ),
  );
});

test("a page runs no script without its nonce, and stands in no frame", () => {
  const policy = writeContentPolicy("abc");
  expect(policy).toMatch(/script-src 'self' 'nonce-abc' 'strict-dynamic';/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(/script-src[^;]*unsafe/.test(policy)).toBe(false);
  expect(writeContentPolicy("abc", true)).toContain("'unsafe-eval'");
});
