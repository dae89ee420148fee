"use client";

import { usePicked } from "../bench/BenchProvider";
import { Select } from "../controls/Select";

/** What money is told in, all over the house. */
export function CurrencySelect() {
  const { book, edit } = usePicked("book", "edit");
  const { kitchen } = book;
  const names = new Intl.DisplayNames("en", { type: "currency" });
  return (
    <Select
      label="Money is told in"
      value={kitchen.currency ?? ""}
      options={[
        { id: "", name: "figures alone" },
        ...Intl.supportedValuesOf("currency").map((id) => ({ id, name: `${id}, ${names.of(id) ?? id}` })),
      ]}
      onChange={(currency) =>
        edit([
          {
            kind: "kitchen",
            id: kitchen.id,
            record: { ...kitchen, currency: currency === "" ? null : currency },
          },
        ])
      }
    />
  );
}
