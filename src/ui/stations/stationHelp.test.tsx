/**
 * @jest-environment jsdom
 * @own-rooms
 */
import { readFileSync } from "node:fs";
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { screen, within } from "@testing-library/react";
import type { ReactElement } from "react";
import type { Station } from "@/core/plan";
import { BakeStation } from "./BakeStation";
import { CoolStation } from "./CoolStation";
import { FillStation } from "./FillStation";
import { MixStation } from "./MixStation";
import { OrdersStation } from "./OrdersStation";
import { RollStation } from "./RollStation";
import { SealStation } from "./SealStation";

const stations: readonly (readonly [Station, ReactElement])[] = [
  ["orders", <OrdersStation key="orders" />],
  ["mix", <MixStation key="mix" />],
  ["roll", <RollStation key="roll" />],
  ["fill", <FillStation key="fill" />],
  ["seal", <SealStation key="seal" />],
  ["bake", <BakeStation key="bake" />],
  ["cool", <CoolStation key="cool" />],
];

test.each(stations)(
  "%s: how it works opens in place and explains words, none of them twice",
  async (_, station) => {
    const { user } = renderOnBench(station);
    const help = screen.getByText("How this works").closest("details")!;
    expect(help.open).toBe(false);
    await user.click(screen.getByText("How this works"));
    expect(help.open).toBe(true);
    const terms = within(help)
      .getAllByRole("term")
      .map(({ textContent }) => textContent);
    expect(terms.length).toBeGreaterThan(1);
    expect(new Set(terms).size).toBe(terms.length);
    expect(within(help).getAllByRole("definition")).toHaveLength(terms.length);
  },
);

test("words that the glossary has too are words of the trade there", () => {
  const glossary = readFileSync("docs/GLOSSARY.md", "utf8");
  for (const term of ["blank", "re-roll", "plumpness", "margin", "crimp", "vent"])
    expect(glossary).toContain(`| ${term}`);
});
