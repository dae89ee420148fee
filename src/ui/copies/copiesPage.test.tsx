/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import { TextEncoder } from "node:util";
import { nativeDialogs } from "../shell/__tests__/nativeDialogs";
import { CopiesPage, type CopyShown } from "./CopiesPage";
import type { OutwardShown } from "./OutwardForm";

const refresh = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh }) }));

const NOW = "2026-11-28T18:00:00.000Z";
const copy = (madeAt: string, bytes: number): CopyShown => ({
  name: `tezgah-${madeAt.replaceAll(":", "-")}-day-closed.zip`,
  ...{ bytes, madeAt },
});
const newest = copy("2026-11-28T12:00:00.000Z", 2_340_000);
const holding = (pieces: number) => ({
  ...{ dataVersion: 17, counts: { piece: pieces, order: 40 }, firstDay: "2026-11-01", lastDay: "2026-12-05" },
});
const looked = {
  token: "t-1",
  manifest: { ...holding(20), madeAt: newest.madeAt, why: "day closed" },
  now: holding(23),
};
let asked: [string, string | undefined, unknown][] = [];
let answers: Record<string, { ok: boolean; body: unknown }> = {};
beforeEach(() => {
  [asked, answers] = [[], {}];
  refresh.mockClear();
  nativeDialogs();
  globalThis.TextEncoder ??= TextEncoder as typeof globalThis.TextEncoder;
  globalThis.fetch = jest.fn((path: string, init: { method?: string; body?: unknown }) => {
    asked.push([path, init.method, init.body]);
    const answer = answers[path.split("?")[0]!] ?? { ok: true, body: {} };
    return Promise.resolve({ ok: answer.ok, json: () => Promise.resolve(answer.body) });
  }) as unknown as typeof fetch;
});
const show = (copies: readonly CopyShown[], outward: OutwardShown | null = null) =>
  render(
    <CopiesPage problems={[]} outward={outward} copies={copies} nowIso={NOW} timeZone="Europe/Lisbon" />,
  );
const settle = (work: () => void) =>
  act(async () => {
    work();
    for (let turn = 0; turn < 4; turn++) await Promise.resolve();
  });

test("how old the last copy is stands first; one that is old, or none at all, is an alarm", () => {
  const { unmount } = show([newest]);
  expect(screen.getByText(/The last copy is/).textContent).toContain("about 6 hours old.");
  expect(screen.queryByRole("alert")).toBeNull();
  unmount();
  const { unmount: again } = show([copy("2026-11-01T12:00:00.000Z", 900)]);
  expect(screen.getByRole("alert").textContent).toContain("27 days old: save one now.");
  again();
  show([]);
  expect(screen.getByRole("alert").textContent).toContain("There is no copy yet");
});

test("each copy says when it was made by the kitchen's clock, what for and how large it is, and can be kept elsewhere", () => {
  show([newest, copy("2026-11-21T12:00:00.000Z", 84_000)]);
  const rows = screen.getAllByRole("listitem");
  expect(rows[0]!.textContent).toContain("Sat 28 Nov 2026, 12:00");
  expect(rows[0]!.textContent).toContain("day closed");
  expect(rows[0]!.textContent).toContain("2.3 MB");
  expect(rows[1]!.textContent).toContain("84 kB");
  expect(within(rows[0]!).getByRole("link").getAttribute("href")).toBe(`/api/copies/${newest.name}`);
});

test("a copy is made and stands in the list; where the disk is full it says so and nothing else happens", async () => {
  show([newest]);
  await settle(() => fireEvent.click(screen.getByRole("button", { name: /Save a copy now/ })));
  expect(asked).toEqual([["/api/copies", "POST", undefined]]);
  expect(refresh).toHaveBeenCalledTimes(1);
  answers["/api/copies"] = {
    ok: false,
    body: { faults: [{ message: "The disk is full: 2 MB are needed." }] },
  };
  await settle(() => fireEvent.click(screen.getByRole("button", { name: /Save a copy now/ })));
  expect(screen.getByRole("alert").textContent).toBe("The disk is full: 2 MB are needed.");
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("before a copy takes the place of what is there both are shown; only then is it laid back", async () => {
  answers["/api/copies/look"] = { ok: true, body: looked };
  answers["/api/copies/restore"] = { ok: true, body: { aside: "tezgah-aside.zip" } };
  show([newest]);
  await settle(() => fireEvent.click(screen.getByRole("button", { name: /^Look at the copy/ })));
  const dialog = within(screen.getByRole("dialog"));
  const piece = dialog.getAllByRole("row").find(({ textContent }) => /20.*23/.test(textContent))!;
  expect(piece).toBeTruthy();
  await settle(() => fireEvent.click(dialog.getByRole("button", { name: "Leave everything as it is" })));
  expect(asked.map(([path]) => path.split("?")[0])).toEqual(["/api/copies/look"]);
  await settle(() => fireEvent.click(screen.getByRole("button", { name: /^Look at the copy/ })));
  await settle(() =>
    fireEvent.click(within(screen.getByRole("dialog")).getByRole("button", { name: "Lay it back" })),
  );
  expect(asked.at(-1)).toEqual(["/api/copies/restore", "POST", JSON.stringify({ token: "t-1" })]);
  expect(screen.getByText(/What was there is kept as tezgah-aside.zip/)).toBeTruthy();
});

test("a file that is no copy is refused with why; without a server nothing is changed", async () => {
  answers["/api/copies/look"] = { ok: false, body: { faults: [{ message: "This is no copy of Tezgah." }] } };
  show([newest]);
  const file = new File(["x"], "holiday.zip");
  const pick = () =>
    settle(() =>
      fireEvent.change(document.querySelector("input[type=file]")!, { target: { files: [file] } }),
    );
  await pick();
  expect(asked.at(-1)).toEqual(["/api/copies/look", "POST", file]);
  expect(screen.getByRole("alert").textContent).toBe("This is no copy of Tezgah.");
  globalThis.fetch = jest.fn(() => Promise.reject(new Error("away")));
  await pick();
  expect(screen.getByRole("alert").textContent).toContain("does not answer. Nothing was changed");
});

test("a sealed copy asks for its passphrase and sends it along; a wrong one is said", async () => {
  show([newest]);
  answers["/api/copies/look"] = {
    ok: false,
    body: { faults: [{ path: "passphrase", message: "This copy is sealed." }] },
  };
  await settle(() =>
    fireEvent.change(screen.getByLabelText("Lay back a file"), {
      target: { files: [new File(["TZSEALED"], "copy.zip.sealed")] },
    }),
  );
  const dialog = screen.getByRole("dialog", { name: "This copy is sealed" });
  expect(screen.queryByRole("alert")).toBeNull();
  fireEvent.change(within(dialog).getByLabelText("Its passphrase"), { target: { value: "şeker ve tuz" } });
  answers["/api/copies/look"] = { ok: false, body: { faults: [{ path: "", message: "That is not it." }] } };
  await settle(() => fireEvent.click(within(dialog).getByRole("button", { name: "Open it" })));
  const [, init] = (globalThis.fetch as jest.Mock).mock.calls.at(-1) as [string, { headers: object }];
  const told = (init.headers as Record<string, string>)["x-tezgah-passphrase"] ?? "";
  expect(Buffer.from(told, "base64url").toString("utf8")).toBe("şeker ve tuz");
  expect(screen.getByRole("alert").textContent).toBe("That is not it.");
});

test("copies go to another disk too: where and how often is set, sealed or not, and how it stands is said", async () => {
  const { unmount } = show([newest]);
  fireEvent.change(screen.getByLabelText("Folder, from its root"), { target: { value: "/mnt/share" } });
  fireEvent.change(screen.getByLabelText("Sealed"), { target: { value: "new" } });
  fireEvent.change(screen.getByLabelText(/^Its passphrase/), { target: { value: "plum cake at dawn" } });
  await settle(() => fireEvent.click(screen.getByRole("button", { name: "Copy there too" })));
  await settle(() => undefined);
  const sent = asked.find(([path]) => path === "/api/copies/outward");
  expect(JSON.parse(sent?.[2] as string)).toEqual({
    ...{ folder: "/mnt/share", everyHours: 24, passphrase: "plum cake at dawn" },
  });
  unmount();
  const set = { folder: "/mnt/share", everyHours: 168, isSealed: true, newestAt: newest.madeAt, fault: null };
  const { unmount: again } = show([newest], set);
  expect(screen.getByText(/The last one there is about 6 hours old, sealed/)).toBeTruthy();
  await settle(() => fireEvent.click(screen.getByRole("button", { name: "Change it" })));
  await settle(() => undefined);
  // The seal stays as it is without its passphrase being typed again.
  expect(JSON.parse(asked.at(-1)![2] as string)).toEqual({
    folder: "/mnt/share",
    everyHours: 168,
    passphrase: null,
  });
  again();
  show([newest], { ...set, newestAt: null, fault: "There is no folder /mnt/share." });
  expect(screen.getByRole("alert").textContent).toContain("There is no folder");
  await settle(() => fireEvent.click(screen.getByRole("button", { name: "End it" })));
  expect(JSON.parse(asked.at(-1)![2] as string)).toEqual({ folder: null });
});
