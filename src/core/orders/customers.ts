import type { Customer } from "./orders";

/** Names that differ in case and spaces alone are one customer's. */
const toCustomerKey = (name: string): string => name.trim().replace(/\s+/g, " ").toLowerCase();

/** The customer of a name as it was typed; undefined for nobody known. */
export const findCustomer = (customers: readonly Customer[], name: string): Customer | undefined => {
  const key = toCustomerKey(name);
  return key === "" ? undefined : customers.find((customer) => toCustomerKey(customer.name) === key);
};
