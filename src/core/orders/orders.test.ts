import fc from "fast-check";
import { findCustomer, groupOrders, listStandingFor, type StandingOrder, type TakenOrder } from ".";

const customers = ["Lamp room", "Ferry kiosk", "The hatch"].map((name, i) => ({
  ...{ id: `c${i}`, name, contact: "", usualMin: null },
}));
const anyMin = fc.constantFrom(540, 600, 660);
const anyOrder = fc.record({
  id: fc.uuid(),
  dayId: fc.constant("d"),
  pieceId: fc.constantFrom("moon", "pop"),
  count: fc.integer({ min: 1, max: 60 }),
  dueMin: anyMin,
  customer: fc.constantFrom("", "Lamp room", "someone"),
  customerId: fc.constantFrom(null, "c0"),
  standingId: fc.constant(null),
  handedMin: fc.constantFrom(null, 601),
}) satisfies fc.Arbitrary<TakenOrder>;
const anyStanding: fc.Arbitrary<StandingOrder> = fc.record({
  id: fc.uuid(),
  customerId: fc.constantFrom("c0", "c1", "c2", "gone"),
  pieceId: fc.constantFrom("moon", "pop"),
  count: fc.integer({ min: 1, max: 60 }),
  holidayCount: fc.option(fc.nat(40)),
  dueMin: anyMin,
  weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
});

test("groups hold every order once, by time, each with one customer, handed over only when all of it is", () => {
  fc.assert(
    fc.property(fc.array(anyOrder, { maxLength: 12 }), (orders) => {
      const groups = groupOrders(orders);
      expect(groups.flatMap((group) => group.orders.map(({ id }) => id)).toSorted()).toEqual(
        orders.map(({ id }) => id).toSorted(),
      );
      expect(groups.map(({ dueMin }) => dueMin)).toEqual(
        groups.map(({ dueMin }) => dueMin).toSorted((a, b) => a - b),
      );
      for (const group of groups) {
        expect(
          new Set(
            group.orders.map(({ dueMin, customerId, customer }) => `${dueMin} ${customerId ?? customer}`),
          ).size,
        ).toBe(1);
        expect(group.isHandedOver).toBe(group.orders.every(({ handedMin }) => handedMin !== null));
      }
    }),
  );
});

test("what stands for a day is taken once, for customers that are there, and a holiday has its own number", () => {
  let ids = 0;
  const createId = () => `new-${ids++}`;
  fc.assert(
    fc.property(
      fc.uniqueArray(anyStanding, { selector: ({ id }) => id, maxLength: 8 }),
      fc.integer({ min: 1, max: 7 }),
      fc.boolean(),
      (standing, weekday, isHoliday) => {
        const day = { id: "d", weekday, isHoliday };
        const due = listStandingFor(day, standing, customers, [], createId);
        const wanted = standing.filter(
          ({ weekdays, customerId, holidayCount }) =>
            weekdays.includes(weekday) && customerId !== "gone" && !(isHoliday && holidayCount === 0),
        );
        expect(due.map(({ standingId }) => standingId).toSorted()).toEqual(
          wanted.map(({ id }) => id).toSorted(),
        );
        for (const order of due) {
          const source = standing.find(({ id }) => id === order.standingId)!;
          expect(order.count).toBe(isHoliday ? (source.holidayCount ?? source.count) : source.count);
          expect(order.customer).toBe(customers.find(({ id }) => id === source.customerId)!.name);
        }
        // Taken in, nothing stands any more; on another day all of it still does.
        expect(listStandingFor(day, standing, customers, due, createId)).toEqual([]);
        expect(listStandingFor({ ...day, id: "e" }, standing, customers, due, createId)).toHaveLength(
          due.length,
        );
      },
    ),
  );
});

test("a customer is found by a name however it is typed, and nobody by no name", () => {
  expect(findCustomer(customers, "  ferry   KIOSK ")?.id).toBe("c1");
  expect(findCustomer(customers, " ")).toBeUndefined();
  expect(findCustomer(customers, "Ferry")).toBeUndefined();
});
