"use client";

import { useState, type ReactNode } from "react";
import { setHouseMeasures, type HouseMeasures } from "@/core/units";

interface Props {
  readonly measures: HouseMeasures;
  readonly children: ReactNode;
}

/** What stands within tells lengths and masses in these measures; where they change it is drawn anew, whole. */
export const InHouse = ({ measures: { lengthUnit, massUnit }, children }: Props) => (
  <Spoken key={`${lengthUnit} ${massUnit}`} measures={{ lengthUnit, massUnit }}>
    {children}
  </Spoken>
);

function Spoken({ measures, children }: Props) {
  // Before anything within is drawn; an effect would come after it.
  useState(() => setHouseMeasures(measures));
  return children;
}
