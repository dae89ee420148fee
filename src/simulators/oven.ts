/** How an oven heats, from the kit. */
export interface OvenFacts {
  readonly heatUpCPerMin: number;
  readonly coolDownCPerMin: number;
  readonly roomC: number;
  /** From the top, °C beside the setting. */
  readonly deckOffsetsC: readonly number[];
}

/** An oven's controller: goes to its setting at the oven's own pace, falls when the door is opened. */
export interface OvenStandIn {
  step(seconds: number): void;
  set(heatC: number): void;
  door(isOpen: boolean): void;
  /** By deck. */
  showsC(): number[];
}

/** An open door takes two thirds of the heat above the room within so long, s; the stone keeps the rest. */
const DOOR_S = 60;
const NOISE_C = 0.4;

export function createOven(random: () => number, facts: OvenFacts): OvenStandIn {
  const { heatUpCPerMin, coolDownCPerMin, roomC, deckOffsetsC } = facts;
  let [air, setting, isOpen] = [roomC, roomC, false];
  return {
    step(seconds) {
      if (isOpen) air += (roomC - air) * (1 - Math.exp(-seconds / DOOR_S));
      else if (air < setting) air = Math.min(air + (heatUpCPerMin * seconds) / 60, setting);
      else air = Math.max(air - (coolDownCPerMin * seconds) / 60, setting);
    },
    set: (heatC) => {
      setting = heatC;
    },
    door: (open) => {
      isOpen = open;
    },
    // A deck is off its setting as far as the oven is hot.
    showsC: () =>
      deckOffsetsC.map((offsetC) => {
        const share = setting > roomC ? Math.min((air - roomC) / (setting - roomC), 1) : 0;
        return Math.round((air + offsetC * share + NOISE_C * (random() * 2 - 1)) * 10) / 10;
      }),
  };
}
