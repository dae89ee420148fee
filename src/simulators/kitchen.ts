import { createRandom } from "@/core/seededRandom";
import { findUsualLossWPerK, USUAL_OIL_J_PER_KG_K } from "@/core/heat";
import { writeSenMlLine } from "@/formats";
import { createFryer } from "./fryer";
import { createOven } from "./oven";
import { createProbe } from "./probe";
import { createScale } from "./scale";

/** What a hand does to the stand-ins, a line of JSON each. */
export type DeviceAct =
  | { readonly do: "lay"; readonly massG: number }
  | { readonly do: "tare" }
  | { readonly do: "probe"; readonly channel: 1 | 2; readonly heatC: number }
  | { readonly do: "probeTowards"; readonly channel: 1 | 2; readonly heatC: number; readonly tauMin: number }
  | { readonly do: "oven"; readonly heatC: number }
  | { readonly do: "door"; readonly isOpen: boolean }
  | { readonly do: "fryer"; readonly heatC: number }
  | { readonly do: "basket"; readonly surfaceMm2: number };

/** The room that the stand-ins stand in, °C. */
const ROOM_C = 22;
/** Of the demo's two-deck oven and its six-litre fryer. */
const OVEN = { heatUpCPerMin: 6, coolDownCPerMin: 3, roomC: ROOM_C, deckOffsetsC: [4, -4] };
const OIL_KG = 5.2;
const FRYER = {
  oilKg: OIL_KG,
  oilJPerKgK: USUAL_OIL_J_PER_KG_K,
  lossWPerK: findUsualLossWPerK(OIL_KG),
  heaterW: 3200,
  setC: ROOM_C,
  roomC: ROOM_C,
};

/** All stand-ins of a small kitchen, moved on together and told as SenML lines. */
export function createKitchenOfStandIns(seed: number) {
  const random = createRandom(seed);
  const scale = createScale(random);
  const probes = [createProbe(random, ROOM_C), createProbe(random, ROOM_C)] as const;
  const oven = createOven(random, OVEN);
  const fryer = createFryer(random, FRYER);
  return {
    step(seconds: number): void {
      for (const device of [scale, ...probes, oven, fryer]) device.step(seconds);
    },
    act(act: DeviceAct): void {
      switch (act.do) {
        case "lay":
          return scale.lay(act.massG);
        case "tare":
          return scale.tare();
        case "probe":
          return probes[act.channel - 1]!.into(act.heatC);
        case "probeTowards":
          return probes[act.channel - 1]!.towards(act.heatC, act.tauMin);
        case "oven":
          return oven.set(act.heatC);
        case "door":
          return oven.door(act.isOpen);
        case "fryer":
          return fryer.set(act.heatC);
        case "basket":
          return fryer.load(act.surfaceMm2);
      }
    },
    /** One line a device. */
    tell(): string[] {
      return [
        writeSenMlLine("bench-scale/", [{ name: "mass", unit: "kg", value: scale.showsG() / 1000 }]),
        writeSenMlLine(
          "probe/",
          probes.map((probe, i) => ({ name: String(i + 1), unit: "Cel", value: probe.showsC() })),
        ),
        writeSenMlLine(
          "deck-oven/",
          oven.showsC().map((value, i) => ({ name: `deck-${i + 1}`, unit: "Cel", value })),
        ),
        writeSenMlLine("fryer/", [{ name: "oil", unit: "Cel", value: fryer.showsC() }]),
      ];
    },
  };
}
