/** @jest-environment jsdom */
import { act, render, screen, within } from "@testing-library/react";
import { NotHandled, NotReached } from "../bench/callServer";
import userEvent from "@testing-library/user-event";
import type { ReactNode } from "react";
import { createBenchStore, type BenchInput, type BenchStore } from "../bench/benchStore";
import { BenchContext } from "../bench/BenchProvider";
import { createTestServer, type TestServer } from "../bench/__tests__/testServer";
import { findRecord } from "@/schemas/recordTable";
import { nativeDialogs } from "./__tests__/nativeDialogs";
import { ConflictDialog } from "./ConflictDialog";
import { Notices } from "./Notices";
import { SaveMark } from "./SaveMark";

beforeAll(nativeDialogs);

function openStore(
  server: TestServer,
  isUp: () => boolean = () => true,
  more: Partial<BenchInput> = {},
): BenchStore {
  let ids = 0;
  return createBenchStore({
    snapshot: server.snapshot(),
    send: async (groups) => {
      if (!isUp()) throw new NotReached("Tezgah does not answer.");
      return server.take(groups);
    },
    fetchSnapshot: async () => server.snapshot(),
    fetchPlan: async () => null,
    canKeepHere: async () => true,
    atLeisure: () => {},
    plan: () => {},
    outbox: { open: async () => ({ mine: null, left: [] }), keep: () => {}, keepNow: () => {} },
    clock: () => new Date("2026-11-24T10:00:00Z"),
    createId: () => `g-${ids++}-${Math.random()}`,
    ...more,
  });
}

const show = (store: BenchStore, children: ReactNode) =>
  render(<BenchContext value={store}>{children}</BenchContext>);
const setPiece = (store: BenchStore, fields: object, id = "plum-pop") => {
  const piece = findRecord(store.getState().records, "piece", id)!;
  store.getState().edit([{ kind: "piece", id, record: { ...piece, ...fields } }]);
};

test("the mark says saved only once it is, and how much waits while nobody answers", async () => {
  let isUp = false;
  const store = openStore(createTestServer(), () => isUp);
  show(store, <SaveMark />);
  expect(screen.getByRole("status").textContent).toContain("Saved");
  await act(async () => {
    setPiece(store, { spares: 3 });
    await store.getState().flush();
  });
  expect(screen.getByRole("alert").textContent).toBe("1 change waits here: Tezgah does not answer.");
  isUp = true;
  await act(async () => void (await store.getState().flush()));
  expect(screen.getByRole("status").textContent).toContain("Saved");
});

test("a refusal says why and can be taken back; others are saved meanwhile", async () => {
  const server = createTestServer();
  server.refuseIf(({ changes }) =>
    changes.some(({ set }) => set?.spares === 4) ? "Not saved. Too many." : null,
  );
  const store = openStore(server);
  show(
    store,
    <>
      <SaveMark />
      <Notices />
    </>,
  );
  await act(async () => {
    setPiece(store, { spares: 4 });
    await store.getState().flush();
  });
  expect(screen.getByText("Not saved. Too many.")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Take it back" }));
  expect(screen.queryByText("Not saved. Too many.")).toBeNull();
  expect(findRecord(store.getState().records, "piece", "plum-pop")!.spares).not.toBe(4);
});

test("what is in use is said by name, and the notice goes when it was understood", async () => {
  const store = openStore(createTestServer());
  show(store, <Notices />);
  act(() => store.getState().edit([{ kind: "formula", id: "bay-shortcrust", record: null }]));
  expect(screen.getByText(/Quince half-moon.*Give them another first/)).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Understood" }));
  expect(screen.queryByRole("alert")).toBeNull();
});

test.each([
  ["Keep what is here", 14],
  ["Keep what is there", 19],
] as const)(
  "the conflict shows the one field from both sides, and “%s” is done",
  async (button, marginMm) => {
    const server = createTestServer();
    const [here, there] = [openStore(server), openStore(server)];
    show(
      here,
      <>
        <SaveMark />
        <ConflictDialog />
      </>,
    );
    await act(async () => {
      setPiece(there, { marginMm: 19, spares: 8 });
      await there.getState().flush();
      setPiece(here, { marginMm: 14 });
      await here.getState().flush();
    });
    const rows = within(screen.getByRole("table")).getAllByRole("row").slice(1);
    expect(rows.map(({ textContent }) => textContent)).toEqual(["margin (mm)1914"]);
    expect(screen.getByText(/Plum/)).toBeTruthy();
    // Put off, nothing is decided and nothing is sent; the mark asks again.
    await userEvent.click(screen.getAllByRole("button", { name: "Close" })[0]!);
    expect(screen.queryByRole("table")).toBeNull();
    expect(here.getState().save.kind).toBe("conflicted");
    expect(findRecord(server.read(), "piece", "plum-pop")!.marginMm).toBe(19);
    await userEvent.click(screen.getByRole("button", { name: /choose/ }));
    await act(async () => {
      screen.getByRole("button", { name: button }).click();
      await here.getState().flush();
    });
    expect(screen.queryByRole("table")).toBeNull();
    expect(findRecord(server.read(), "piece", "plum-pop")).toMatchObject({ marginMm, spares: 8 });
  },
);

test("a fault that is not the network's is said with a way out; a device that keeps nothing says so before all", async () => {
  let isIll = true;
  const server = createTestServer();
  const store = openStore(server, () => true, {
    canKeepHere: async () => false,
    send: async (groups) => {
      if (isIll) throw new NotHandled("This page is of another version.");
      return server.take(groups);
    },
  });
  show(store, <SaveMark />);
  await act(async () => void (await store.getState().start()));
  expect(screen.getByRole("alert").textContent).toBe("Kept only while this page is open");
  await act(async () => {
    setPiece(store, { spares: 3 });
    await store.getState().flush();
  });
  const user = userEvent.setup();
  await user.click(screen.getByRole("button", { name: "Not saved: 1 change" }));
  const dialog = within(screen.getByRole("dialog", { name: "Not saved" }));
  expect(dialog.getByText("This page is of another version.")).toBeTruthy();
  const saved: Blob[] = [];
  Object.assign(URL, {
    createObjectURL: (blob: Blob) => String(saved.push(blob)),
    revokeObjectURL: () => {},
  });
  HTMLAnchorElement.prototype.click = function () {
    expect(this.download).toBe("tezgah-unsaved-changes.json");
  };
  await user.click(dialog.getByRole("button", { name: "Save as a file" }));
  expect(saved[0]!.size).toBeGreaterThan(50);
  isIll = false;
  await user.click(dialog.getByRole("button", { name: "Try again" }));
  expect(screen.getByRole("status").textContent).toContain("Saved");
});
