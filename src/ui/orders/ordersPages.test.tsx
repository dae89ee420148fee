/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, waitFor, within } from "@testing-library/react";
import { findRecord, pickRecords } from "@/schemas/recordTable";
import { OrdersStation } from "../stations/OrdersStation";
import { BringOrdersPage } from "./BringOrdersPage";
import { CustomersPage } from "./CustomersPage";

const card = (name: string) => within(screen.getByRole("listitem", { name }));

test("what stands for the day is taken in with one tap, is not offered twice, and undo offers it again", async () => {
  const { user, plan, store } = renderOnBench(<OrdersStation />);
  const ordered = plan().tally.ordered;
  const offer = within(screen.getByRole("region", { name: "Standing orders of this day" }));
  expect(offer.getByRole("heading").textContent).toContain("Saturday");
  expect(offer.getByRole("listitem").textContent).toContain("12 Leek triangle, Harbour office, 12:00");
  await user.click(offer.getByRole("button", { name: "Take in 12 pieces" }));
  expect(plan().tally.ordered).toBe(ordered + 12);
  expect(screen.queryByRole("region", { name: "Standing orders of this day" })).toBeNull();
  act(() => store.getState().undo());
  expect(plan().tally.ordered).toBe(ordered);
  expect(screen.getByRole("region", { name: "Standing orders of this day" })).toBeTruthy();
});

test("what one customer comes for is handed over together, and taken back together", async () => {
  const { user, store } = renderOnBench(<OrdersStation />);
  const handed = () =>
    pickRecords(store.getState().records, "order").flatMap(({ id, handedMin }) =>
      handedMin === null ? [] : [id],
    );
  const tick = screen.getByRole("button", { name: "Handed over to Ferry kiosk at 10:30" });
  expect(tick.getAttribute("aria-pressed")).toBe("false");
  await user.click(tick);
  expect([tick.getAttribute("aria-pressed"), handed()]).toEqual(["true", ["order-2"]]);
  await user.click(tick);
  expect(handed()).toEqual([]);
});

test("a name that is none's yet is kept as a customer with its orders; a further line has its name and time", async () => {
  const { user, store } = renderOnBench(<OrdersStation />);
  await user.click(screen.getByRole("button", { name: /^Keep as a customer/ }));
  const order = findRecord(store.getState().records, "order", "order-4")!;
  const customer = findRecord(store.getState().records, "customer", order.customerId!);
  expect(customer).toMatchObject({ name: "Net-menders’ breakfast", usualMin: 690 });
  expect(screen.queryByRole("button", { name: /^Keep as a customer/ })).toBeNull();
  await user.click(screen.getByRole("button", { name: "One more line for Ferry kiosk at 10:30" }));
  expect(screen.getByLabelText<HTMLInputElement>("For (may stay empty)").value).toBe("Ferry kiosk");
  expect(document.activeElement).toBe(screen.getByLabelText("How many"));
  await user.keyboard("6{Enter}");
  expect(store.getState().book.orders.filter(({ customerId }) => customerId === "ferry-kiosk")).toEqual([
    expect.objectContaining({ count: 24 }),
    expect.objectContaining({ count: 6, dueMin: 630 }),
  ]);
});

test("whoever usually comes at a time has it filled in, unless another was said", async () => {
  const { user } = renderOnBench(<OrdersStation />);
  const [who, by] = [
    screen.getByLabelText("For (may stay empty)"),
    screen.getByLabelText<HTMLInputElement>("By"),
  ];
  await user.type(who, "harbour OFFICE");
  await user.tab();
  expect(by.value).toBe("12:00");
  await user.clear(by);
  await user.type(by, "13:15");
  await user.clear(who);
  await user.type(who, "Ferry kiosk");
  await user.tab();
  expect(by.value).toBe("13:15");
});

test("a customer is kept, renamed on every order, and gone with what stands; two of one name are refused", async () => {
  const { user, store } = renderOnBench(<CustomersPage />);
  const fresh = screen.getByLabelText<HTMLInputElement>("Name", { selector: "#customer-name" });
  await user.type(fresh, "ferry kiosk{Enter}");
  expect(screen.getByRole("alert").textContent).toContain("Ferry kiosk is here already");
  await user.clear(fresh);
  await user.type(fresh, "Lamp room{Enter}");
  expect(card("Lamp room").getByLabelText<HTMLInputElement>("Usually at").value).toBe("");

  const kiosk = card("Ferry kiosk").getByLabelText("Name");
  await user.clear(kiosk);
  await user.type(kiosk, "Ferry stall{Enter}");
  const orders = () => store.getState().book.orders;
  expect(orders().find(({ id }) => id === "order-2")).toMatchObject({ customer: "Ferry stall" });
  await user.click(screen.getByRole("button", { name: "Remove Ferry stall" }));
  expect(pickRecords(store.getState().records, "standing").map(({ id }) => id)).toEqual(["office-triangles"]);
  expect(orders().some(({ id }) => id === "order-2")).toBe(true);
  act(() => store.getState().undo());
  expect(card("Ferry stall").getByRole("list")).toBeTruthy();
});

test("what stands is changed by its fields: days, number, and what a holiday makes of it; one day stays at least", async () => {
  const { user, store } = renderOnBench(<CustomersPage />);
  const standing = () => findRecord(store.getState().records, "standing", "kiosk-moons")!;
  const line = card("Ferry kiosk");
  const saturday = line.getByRole("button", { name: "Saturday" });
  await user.click(saturday);
  expect(standing().weekdays).toEqual([6]);
  await user.click(line.getByRole("button", { name: "Wednesday" }));
  await user.click(saturday);
  expect(standing().weekdays).toEqual([3]);
  const holiday = line.getByLabelText("On a holiday");
  await user.clear(holiday);
  await user.type(holiday, "-1{Enter}");
  expect(standing().holidayCount).toBe(12);
  await user.clear(holiday);
  await user.type(holiday, "0{Enter}");
  expect(standing().holidayCount).toBe(0);
  await user.clear(holiday);
  await user.keyboard("{Enter}");
  expect(standing().holidayCount).toBeNull();
  await user.click(card("Pilot station").getByRole("button", { name: "Add a standing order" }));
  expect(pickRecords(store.getState().records, "standing").at(-1)).toMatchObject({
    ...{ customerId: "pilot-station", count: 12, dueMin: 540, weekdays: [6] },
  });
});

test("a list of orders is read row by row; what cannot be stays with its reason, the rest is taken in as one step", async () => {
  const { user, store } = renderOnBench(<BringOrdersPage />);
  const before = store.getState().book.orders.length;
  const list = screen.getByLabelText<HTMLTextAreaElement>(/^A row an order/);
  await user.click(list);
  await user.paste("Ferry kiosk,Leek triangle,6\nSomeone,Plum cake,4,9:00\nSomeone,Leek triangle,5,9:00");
  const take = await screen.findByRole("button", { name: "Take in 2 orders" });
  expect(within(screen.getByRole("list", { name: "Rows read" })).getByText(/Plum cake/)).toBeTruthy();
  await user.click(take);
  await waitFor(() => expect(list.value).toBe("Someone,Plum cake,4,9:00"));
  expect(store.getState().book.orders.slice(before)).toEqual([
    expect.objectContaining({ customerId: "ferry-kiosk", count: 6, dueMin: 630 }),
    expect.objectContaining({ customer: "Someone", customerId: null, count: 5, dueMin: 540 }),
  ]);
  act(() => store.getState().undo());
  expect(store.getState().book.orders).toHaveLength(before);
});
