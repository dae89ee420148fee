export { findCustomer } from "./customers";
export {
  groupOrders,
  NEW_ORDER_REST,
  type Customer,
  type OrderGroup,
  type StandingOrder,
  type TakenOrder,
} from "./orders";
export { listStandingFor, type OrderDay } from "./standing";
