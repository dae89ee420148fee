import type { Customer, StandingOrder } from "@/schemas/model";

const at = (hour: number, minute = 0) => hour * 60 + minute;
const SATURDAY = 6;

const customer = (id: string, name: string, contact: string, usualMin: number | null): Customer => ({
  ...{ id, name, contact, usualMin },
});

/** Who orders on the invented quay. */
export const customers: readonly Customer[] = [
  customer("the-hatch", "The hatch", "the window on the quay, open from 8", at(9)),
  customer("ferry-kiosk", "Ferry kiosk", "bell at the side door", at(10, 30)),
  customer("net-menders", "Net-menders’ table", "by the second shed", null),
  customer("harbour-office", "Harbour office", "ask for the duty desk", at(12)),
  customer("pilot-station", "Pilot station", "someone comes down the steps", null),
];

/** What stands for them: of these the first is on the demo's Saturday already. */
export const standingOrders: readonly StandingOrder[] = [
  {
    ...{ id: "kiosk-moons", customerId: "ferry-kiosk", pieceId: "quince-half-moon", count: 24 },
    ...{ holidayCount: 12, dueMin: at(10, 30), weekdays: [SATURDAY] },
  },
  {
    ...{ id: "office-triangles", customerId: "harbour-office", pieceId: "leek-triangle", count: 12 },
    ...{ holidayCount: 0, dueMin: at(12), weekdays: [3, SATURDAY] },
  },
];
