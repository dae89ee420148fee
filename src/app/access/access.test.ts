import { readAddress } from "./clientAddress";
import fc from "fast-check";
import { readAccessRequest, readEnterRequest } from "@/schemas/accessRules";
import { roles, type Holder, type Role } from "@/schemas/access";
import { recordKinds } from "@/schemas/recordKinds";
import { findAddresses } from "./addresses";
import { admit } from "./admit";
import { isHouseOpen, needsKey, readCalendarKey, readKey, readRole, writeKeyCookie } from "./keys";
import { isOpen, mayAsk, mayChange } from "./policy";
import { createThrottle } from "./throttle";
import { findWayBack } from "./wayBack";

const holderOf = (role: Role, id: string = role): Holder => ({
  ...{ id, kind: "device", name: role, role, madeAt: "", seenAt: "" },
});
const ask = (pathname: string, method = "GET", address = "a") => ({
  ...{ pathname, method, address, nowMs: 0 },
});

test("what each role may do: the owner all, the bench the day, the shop orders; none but the owner the house", () => {
  const rows: readonly (readonly [string, string, readonly Role[]])[] = [
    ["GET", "/day/2026-11-28/bake", ["owner", "bench", "shop"]],
    ["GET", "/api/v1/days", ["owner", "bench", "shop"]],
    ["POST", "/api/bench/changes", ["owner", "bench", "shop"]],
    ["POST", "/api/v1/runs/2026-11-28/events", ["owner", "bench"]],
    ["POST", "/api/v1/habits/log", ["owner", "bench"]],
    ["POST", "/api/v1/habits", ["owner"]],
    ["POST", "/api/v1/plan", ["owner", "bench"]],
    ["GET", "/copies", ["owner"]],
    ["GET", "/api/copies/tezgah-x.zip", ["owner"]],
    ["POST", "/api/copies/restore", ["owner"]],
    ["GET", "/access", ["owner"]],
    ["POST", "/api/access", ["owner"]],
  ];
  for (const [method, path, who] of rows)
    expect([path, roles.filter((role) => mayAsk(role, method, path))]).toEqual([path, who]);
  const kindsOf = (role: Role) => recordKinds.filter((kind) => mayChange(role, kind));
  expect(kindsOf("owner")).toEqual(recordKinds);
  expect(kindsOf("shop").toSorted()).toEqual(["customer", "order", "standing"]);
  expect(kindsOf("bench").toSorted()).toEqual([
    "ahead",
    "customer",
    "cutRecord",
    "day",
    "larder",
    "lotRecord",
    "order",
    "standing",
    "weighing",
  ]);
});

test("whatever the path, the shop may ask nothing that the bench may not, nor the bench the owner", () => {
  const paths = fc.oneof(
    fc.webPath(),
    fc.constantFrom("/copies", "/api/access", "/api/bench/changes", "/api/v1/habits"),
  );
  fc.assert(
    fc.property(paths, fc.constantFrom("GET", "POST", "PUT", "DELETE"), (path, method) => {
      const may = (role: Role) => mayAsk(role, method, path);
      expect(may("owner")).toBe(true);
      if (may("shop")) expect(may("bench")).toBe(true);
    }),
  );
});

test("who has no key finds the way in and what it is made of, nothing else; a name that begins like it is not it", () => {
  for (const path of ["/enter", "/api/enter", "/away", "/service-worker.js", "/api/health"])
    expect(admit(ask(path), null)).toMatchObject({ kind: "in" });
  for (const path of ["/", "/entering", "/api/entered", "/day/2026-11-28/orders", "/api/bench/live"]) {
    expect(isOpen(path)).toBe(false);
    expect(admit(ask(path), null).kind).toBe("enter");
  }
  expect(admit(ask("/copies"), holderOf("bench"))).toMatchObject({ kind: "notYours", role: "bench" });
  expect(admit(ask("/copies"), holderOf("owner"))).toMatchObject({ kind: "in", role: "owner" });
});

test("a stranger who asks too often waits, one who is in is not hurt by it; both come in again after a while", () => {
  const kinds = Array.from({ length: 80 }, () => admit(ask("/enter", "GET", "flood"), null).kind);
  expect(kinds.indexOf("wait")).toBe(60);
  expect(admit(ask("/", "GET", "flood"), holderOf("bench", "wall")).kind).toBe("in");
  const many = Array.from({ length: 700 }, () => admit(ask("/"), holderOf("bench", "wild")).kind);
  expect(many.filter((kind) => kind === "in")).toHaveLength(600);
  expect(admit({ ...ask("/"), nowMs: 1000 }, holderOf("bench", "wild")).kind).toBe("in");
});

test("a throttle lets through no more than its burst and its rate, at whatever times it is asked", () => {
  const gaps = fc.array(fc.integer({ min: 0, max: 3000 }), { minLength: 1, maxLength: 200 });
  fc.assert(
    fc.property(gaps, (waits) => {
      const throttle = createThrottle({ burst: 5, perSecond: 2 });
      let nowMs = 0;
      let let1 = 0;
      for (const wait of waits) {
        nowMs += wait;
        const waitS = throttle.take("caller", nowMs);
        if (waitS === 0) let1++;
        expect(let1).toBeLessThanOrEqual(5 + (2 * nowMs) / 1000 + 1e-9);
        // The wait that is told is long enough.
        if (waitS > 0) expect(throttle.take("caller", nowMs + waitS * 1000)).toBe(0);
        if (waitS > 0) {
          nowMs += waitS * 1000;
          let1++;
        }
      }
    }),
  );
});

test("a key is needed as soon as more than this machine is served, or asks", () => {
  expect(isHouseOpen({})).toBe(false);
  expect(isHouseOpen({ HOST: "127.0.0.1" })).toBe(false);
  expect(isHouseOpen({ HOST: "0.0.0.0" })).toBe(true);
  expect(isHouseOpen({ TEZGAH_HOSTS: "bench.example" })).toBe(true);
  expect(needsKey({}, "127.0.0.1:3000")).toBe(false);
  expect(needsKey({}, "localhost:3000")).toBe(false);
  expect(needsKey({}, "[::1]:3000")).toBe(false);
  expect(needsKey({}, "192.168.0.7:3000")).toBe(true);
  expect(needsKey({}, null)).toBe(true);
  expect(needsKey({ HOST: "0.0.0.0" }, "127.0.0.1:3000")).toBe(true);
});

test("a key is read from the cookie or the bearer, and goes out where no script and no page elsewhere has it", () => {
  expect(readKey(new Headers({ cookie: "tezgah-theme=night; tezgah-key=ab_C-1" }))).toBe("ab_C-1");
  expect(readKey(new Headers({ cookie: "not-tezgah-key=x" }))).toBeNull();
  expect(readKey(new Headers({ authorization: "Bearer to-ken" }))).toBe("to-ken");
  expect(readKey(new Headers({ authorization: "Basic eDp5" }))).toBeNull();
  expect(writeKeyCookie("k", false)).toMatch(/^tezgah-key=k; Path=\/; Max-Age=\d+; HttpOnly; SameSite=Lax$/);
  expect(writeKeyCookie("k", true)).toMatch(/; Secure$/);
  expect(writeKeyCookie(null, false)).toContain("Max-Age=0");
  const from = (address: string) => readAddress(new Headers({ "x-forwarded-for": address }));
  expect(from("192.168.0.9")).toBe("192.168.0.9");
  // A device has a whole network of the longer addresses to itself.
  expect(from("2001:db8:0:7::1")).toBe(from("2001:0db8:0:7:aaaa:bbbb:cccc:dddd"));
  expect(from("2001:db8:0:8::1")).not.toBe(from("2001:db8:0:7::1"));
  expect(readAddress(new Headers())).toBe("unknown");
  expect(readRole(new Headers({ "x-tezgah-role": "shop" }))).toBe("shop");
  const calendar = (address: string) => readCalendarKey(new URL(address, "http://bench.example"));
  expect(calendar("/api/calendar.ics?key=to-ken")).toBe("to-ken");
  expect(calendar("/api/calendar.ics")).toBeNull();
  expect(calendar("/day/2026-11-28/orders?key=to-ken")).toBeNull();
});

test("a phone is led to the address that is asked by, or to this machine's in figures", () => {
  const lan = { family: "IPv4", internal: false, address: "192.168.0.7" };
  const own = { family: "IPv4", internal: true, address: "127.0.0.1" };
  const interfaces = { lo: [own], eth0: [lan] } as unknown as Parameters<typeof findAddresses>[2];
  expect(findAddresses("bench.example", "https", interfaces)).toEqual(["https://bench.example"]);
  expect(findAddresses("localhost:3000", "http", interfaces)).toEqual(["http://192.168.0.7:3000"]);
  expect(findAddresses("localhost:3000", "http", {})).toEqual([]);
});

test("what is asked at the door is checked, and what is wrong is said", () => {
  const wrong = (value: unknown) => {
    const read = readEnterRequest(value);
    return read.ok ? null : read.failure;
  };
  expect(wrong({ by: "passphrase", passphrase: "x", name: "Tablet" })).toBeNull();
  expect(wrong({ by: "start", code: "A", passphrase: "short", name: "Tablet" })).toMatch(/has 5 characters/);
  expect(wrong({ by: "passphrase", passphrase: "", name: "Tablet" })).toBe("Enter the passphrase.");
  expect(wrong({ by: "invite", code: "A", name: "  " })).toMatch(/Give it a name/);
  expect(wrong({ by: "invite", code: "A", name: "n".repeat(61) })).toMatch(/has 61 characters/);
  for (const odd of [null, 3, [], {}, { by: "magic" }]) expect(wrong(odd)).toMatch(/Say how you come in/);
  const act = (value: unknown) => readAccessRequest(value).ok;
  expect(act({ act: "passphrase", role: "bench", passphrase: "" })).toBe(true);
  expect(act({ act: "passphrase", role: "king", passphrase: "long enough to be" })).toBe(false);
  expect(act({ act: "token", role: "shop", name: "Till", more: 1 })).toBe(false);
});

test("after coming in one goes to a page of this house, however the way was written", () => {
  expect(findWayBack("/day/2026-11-28/fill?piece=x")).toBe("/day/2026-11-28/fill?piece=x");
  const elsewhere = [
    "//evil.example",
    "/\\evil.example",
    "/\t/evil.example",
    "/\n/evil.example",
    "/.//evil.example",
  ];
  for (const odd of [...elsewhere, "https://evil.example", "javascript:alert(1)", "", undefined, ["/"]])
    expect(findWayBack(odd)).toBe("/");
});
