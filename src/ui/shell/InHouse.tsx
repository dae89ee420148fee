"use client";

import { useLayoutEffect, useRef, useState, type ReactNode, type RefObject } from "react";
import { setHouseMeasures, type HouseMeasures } from "@/core/units";

interface Props {
  readonly measures: HouseMeasures;
  readonly children: ReactNode;
}

/** What stands within tells lengths and masses in these measures; where they change it is drawn anew, whole. */
export function InHouse({ measures: { lengthUnit, massUnit }, children }: Props) {
  const focusedAt = useRef(-1);
  return (
    <Spoken key={`${lengthUnit} ${massUnit}`} measures={{ lengthUnit, massUnit }} focusedAt={focusedAt}>
      {children}
    </Spoken>
  );
}

const listFocusable = (): HTMLElement[] => [
  ...document.querySelectorAll<HTMLElement>("a[href], button, input, select, textarea, [tabindex]"),
];

function Spoken({
  measures,
  focusedAt,
  children,
}: Props & {
  /** Which of the page's controls had the focus before. */ readonly focusedAt: RefObject<number>;
}) {
  // Before anything within is drawn; an effect would come after it.
  useState(() => setHouseMeasures(measures));
  useLayoutEffect(() => {
    if (focusedAt.current >= 0) listFocusable()[focusedAt.current]?.focus();
    return () => {
      focusedAt.current = listFocusable().findIndex((each) => each === document.activeElement);
    };
  }, [focusedAt]);
  return children;
}
