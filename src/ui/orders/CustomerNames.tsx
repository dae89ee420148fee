"use client";

import { pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";

/** The list that fields for a customer's name suggest from. */
export const CUSTOMER_NAMES = "customer-names";

export function CustomerNames() {
  const { records } = usePicked("records");
  return (
    <datalist id={CUSTOMER_NAMES}>
      {pickRecords(records, "customer").map(({ id, name, contact }) => (
        <option key={id} value={name} label={contact} />
      ))}
    </datalist>
  );
}
