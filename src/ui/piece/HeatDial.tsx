"use client";

import { toCelsius, toFahrenheit } from "@/core/units";
import { pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { Dial } from "../controls/Dial";

interface Props {
  readonly label: string;
  readonly ovenC: number;
  readonly hint: string | undefined;
  readonly onChange: (ovenC: number) => void;
}

/** A heat in the degrees this kitchen reads; gas marks are typed. */
export function HeatDial({ label, ovenC, hint, onChange }: Props) {
  const isFahrenheit = useBench((state) => state.book.kitchen.ovenScale) === "fahrenheit";
  const { min, max } = pieceLimits.ovenC;
  return isFahrenheit ? (
    <Dial
      limit={{ label, unit: "°F", min: toFahrenheit(min), max: toFahrenheit(max), step: 5 }}
      value={toFahrenheit(ovenC)}
      hint={hint}
      onChange={(ovenF) => onChange(toCelsius(ovenF))}
    />
  ) : (
    <Dial limit={{ ...pieceLimits.ovenC, label }} value={ovenC} hint={hint} onChange={onChange} />
  );
}
