/** @jest-environment jsdom */
import "../bench/__tests__/renderOnBench";
import { act, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { Holder } from "@/schemas/access";
import { nativeDialogs } from "../shell/__tests__/nativeDialogs";
import { AccessPage } from "./AccessPage";
import { EnterPage } from "./EnterPage";

const asked: { readonly path: string; readonly body: unknown }[] = [];
let answer: { readonly status: number; readonly body: object } = { status: 200, body: {} };

beforeEach(() => {
  nativeDialogs();
  window.matchMedia = () => ({ matches: false }) as MediaQueryList;
  asked.length = 0;
  answer = { status: 200, body: {} };
  globalThis.fetch = jest.fn((path: string, { body }: { body: string }) => {
    asked.push({ path, body: JSON.parse(body) });
    const { status, body: told } = answer;
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(told) });
  }) as unknown as typeof fetch;
});

const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = async (name: string | RegExp) => {
  fireEvent.click(screen.getByRole("button", { name }));
  await act(() => Promise.resolve());
};

test("the first of all chooses the passphrase; what is missing or refused is said, and typed words stay", async () => {
  render(<EnterPage to="/day/x" isUnset heldRole={null} isTurnedDown={false} invite={null} />);
  expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("Choose the passphrase of the house");
  await press(/come in/);
  expect((await screen.findByRole("alert")).textContent).toBe("Enter the code.");
  expect(asked).toEqual([]);
  type("Code of this start", "ABCD-EFGH-JKLM");
  type(/^Passphrase/, "plum cake at dawn");
  type("Name of this device", "Office");
  answer = { status: 401, body: { faults: [{ message: "That is not the code of this start." }] } };
  await press(/come in/);
  await waitFor(() => expect(screen.getByRole("alert").textContent).toMatch(/not the code/));
  expect(asked[0]).toEqual({
    path: "/api/enter",
    body: { by: "start", code: "ABCD-EFGH-JKLM", passphrase: "plum cake at dawn", name: "Office" },
  });
  expect(screen.getByLabelText<HTMLInputElement>("Code of this start").value).toBe("ABCD-EFGH-JKLM");
});

test("who scanned a code gives only a name; who is for another role is told so", async () => {
  const { rerender } = render(
    <EnterPage to="/" isUnset={false} heldRole={null} isTurnedDown={false} invite="ABCD" />,
  );
  expect(screen.queryByLabelText("Passphrase")).toBeNull();
  expect(screen.getByLabelText<HTMLInputElement>("Name of this device").value).toBe("A computer");
  answer = { status: 401, body: { faults: [{ message: "That code is not good any more." }] } };
  await press("Come in");
  await screen.findByRole("alert");
  expect(asked[0]?.body).toEqual({ by: "invite", code: "ABCD", name: "A computer" });
  rerender(<EnterPage to="/" isUnset={false} heldRole="shop" isTurnedDown invite={null} />);
  expect(screen.getByRole("status").textContent).toContain("This device is for the shop");
  globalThis.fetch = jest.fn(() => Promise.resolve({ ok: false })) as unknown as typeof fetch;
  await press("Go out");
  expect(screen.getByRole("alert").textContent).toContain("does not answer");
  expect(globalThis.fetch).toHaveBeenCalledWith("/api/leave", { method: "POST" });
  expect(screen.getByLabelText<HTMLInputElement>("Passphrase").type).toBe("password");
});

const holder = (id: string, more: Partial<Holder> = {}): Holder => ({
  ...{ id, kind: "device", name: id, role: "bench" },
  ...{ madeAt: "2026-11-24T08:00:00Z", seenAt: "2026-11-24T10:00:00Z", ...more },
});
const page = (isGuarded = true) =>
  render(
    <AccessPage
      isGuarded={isGuarded}
      holders={[holder("Office", { role: "owner" }), holder("Till", { kind: "programme" })]}
      ownId="Office"
      rolesWithPassphrase={["owner", "bench"]}
      timeZone="UTC"
    />,
  );

test("devices stand by name, this one marked; one is turned out by a tap", async () => {
  page();
  const lines = screen.getAllByRole("listitem").map(({ textContent }) => textContent);
  expect(lines[0]).toMatch(/Office.*owner.*this device/);
  expect(lines[1]).toMatch(/Till.*bench, a programme.*seen Tue 24 Nov, 10:00/);
  await press("Turn Till out");
  expect(asked[0]).toEqual({ path: "/api/access", body: { act: "turnOut", id: "Till" } });
  expect(screen.getByText("Till is turned out.")).toBeTruthy();
});

test("passphrases are set, changed and ended, the owner's never ended; what is refused is said", async () => {
  page(false);
  expect(screen.getByText(/serves the house/)).toBeTruthy();
  expect(screen.getAllByRole("button", { name: "Change it" })).toHaveLength(2);
  expect(screen.getAllByRole("button", { name: "End it" })).toHaveLength(1);
  type(/^The shop’s/, "sugar and salt");
  await press("Set it");
  expect(asked.at(-1)?.body).toEqual({ act: "passphrase", role: "shop", passphrase: "sugar and salt" });
  answer = { status: 400, body: { faults: [{ message: "The passphrase has 3 characters." }] } };
  await press("End it");
  expect(asked.at(-1)?.body).toEqual({ act: "passphrase", role: "bench", passphrase: "" });
  expect(screen.getByRole("alert").textContent).toBe("The passphrase has 3 characters.");
});

test("a code for a phone is drawn with its address and its end; a token is shown once", async () => {
  page();
  answer = {
    status: 200,
    body: {
      ...{ code: "ABCD-EFGH-JKLM", endsAt: "2026-11-24T10:12:00Z" },
      ...{ address: "http://192.168.0.7:3000/enter?invite=ABCD-EFGH-JKLM", qr: "<svg/>" },
    },
  };
  await press("Code for the shop");
  const dialog = await screen.findByRole("dialog");
  expect(within(dialog).getByRole("img").getAttribute("alt")).toContain("192.168.0.7:3000/enter");
  expect(dialog.textContent).toMatch(/for the shop, until Tue 24 Nov, 10:12/);
  answer = { status: 200, body: { token: "secret-token" } };
  type("Its name", "Till");
  await press("Make a token");
  expect(asked.at(-1)?.body).toEqual({ act: "token", role: "bench", name: "Till" });
  expect(await screen.findByText("secret-token")).toBeTruthy();
});
