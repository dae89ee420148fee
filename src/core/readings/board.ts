/** What a device tells in: grams or degrees. */
export type ReadingKind = "massG" | "heatC";

/** As it came: its unit as written. */
export interface RawReading {
  readonly name: string;
  readonly unit: string;
  readonly value: number;
}

/** What was done with what came under one name. */
export interface ReadingCounts {
  readonly taken: number;
  /** Of a unit that no scale or thermometer has. */
  readonly ofOtherUnit: number;
  /** Beyond what any scale or thermometer of a kitchen can show. */
  readonly impossible: number;
  /** More than are listened to in a second. */
  readonly tooMany: number;
}

/** A channel of a device that was heard. */
export interface HeardReading {
  readonly name: string;
  /** Null while nothing usable came. */
  readonly last: { readonly kind: ReadingKind; readonly value: number } | null;
  /** Seconds since the last usable one; null if there was none. */
  readonly ageS: number | null;
  /** It was heard so long ago that it says nothing of now. */
  readonly isStale: boolean;
  readonly counts: ReadingCounts;
}

export interface ReadingBoard {
  /** @param nowMs - Of a clock that does not go back. */
  hear(readings: readonly RawReading[], nowMs: number): void;
  /** A line or a document that could not be read, and where it came from. */
  hearNonsense(from: string): void;
  list(nowMs: number): HeardReading[];
  /** By where it came from. */
  listNonsense(): Readonly<Record<string, number>>;
}

/** Base units of RFC 8428 that a kitchen's devices tell in, and grams, which many do. */
const units: Readonly<
  Record<string, { readonly kind: ReadingKind; readonly toValue: (value: number) => number }>
> = {
  kg: { kind: "massG", toValue: (value) => value * 1000 },
  g: { kind: "massG", toValue: (value) => value },
  Cel: { kind: "heatC", toValue: (value) => value },
  K: { kind: "heatC", toValue: (value) => value - 273.15 },
};
/** What the coldest freezer and the hottest deck, an empty bowl taken off a scale and the largest scale can show. */
const possible: Readonly<Record<ReadingKind, { readonly least: number; readonly most: number }>> = {
  massG: { least: -20_000, most: 150_000 },
  heatC: { least: -50, most: 500 },
};
/** So many in a second are listened to under one name, after a burst of as many. */
const MOST_A_SECOND = 25;
/** More names than any kitchen has channels: later ones are not kept, whoever sends them. */
const MOST_NAMES = 64;
/** A device tells every second or so: silent for so long it is gone, s. */
const STALE_AFTER_S = 10;

interface Channel {
  last: HeardReading["last"];
  heardAtMs: number;
  counts: { -readonly [K in keyof ReadingCounts]: number };
  /** How many may come just now, and when that was reckoned. */
  allowance: number;
  reckonedAtMs: number;
}

/** The last of everything that devices say, with what was wrong with the rest counted: nothing is used silently. */
export function createReadingBoard(): ReadingBoard {
  const channels = new Map<string, Channel>();
  const nonsense = new Map<string, number>();
  const NO_NAME_LEFT = "too many names";

  function open(name: string, nowMs: number): Channel | null {
    const known = channels.get(name);
    if (known) return known;
    if (channels.size >= MOST_NAMES) return null;
    const channel: Channel = {
      last: null,
      heardAtMs: nowMs,
      counts: { taken: 0, ofOtherUnit: 0, impossible: 0, tooMany: 0 },
      allowance: MOST_A_SECOND,
      reckonedAtMs: nowMs,
    };
    channels.set(name, channel);
    return channel;
  }

  function hearOne({ name, unit, value }: RawReading, nowMs: number): void {
    const channel = open(name, nowMs);
    if (!channel) return count(nonsense, NO_NAME_LEFT);
    const regained = ((nowMs - channel.reckonedAtMs) / 1000) * MOST_A_SECOND;
    channel.allowance = Math.min(channel.allowance + regained, MOST_A_SECOND);
    channel.reckonedAtMs = nowMs;
    if (channel.allowance < 1) {
      channel.counts.tooMany++;
      return;
    }
    channel.allowance--;
    const known = Object.hasOwn(units, unit) ? units[unit] : undefined;
    if (!known) {
      channel.counts.ofOtherUnit++;
      return;
    }
    const read = known.toValue(value);
    const { least, most } = possible[known.kind];
    if (!(read >= least && read <= most)) {
      channel.counts.impossible++;
      return;
    }
    channel.counts.taken++;
    channel.last = { kind: known.kind, value: read };
    channel.heardAtMs = nowMs;
  }

  return {
    hear: (readings, nowMs) => readings.forEach((reading) => hearOne(reading, nowMs)),
    hearNonsense: (from) =>
      count(nonsense, nonsense.has(from) || nonsense.size < MOST_NAMES ? from : NO_NAME_LEFT),
    list: (nowMs) =>
      [...channels].map(([name, { last, heardAtMs, counts }]) => {
        const ageS = last ? Math.max(nowMs - heardAtMs, 0) / 1000 : null;
        return { name, last, ageS, isStale: ageS === null || ageS > STALE_AFTER_S, counts: { ...counts } };
      }),
    listNonsense: () => Object.fromEntries(nonsense),
  };
}

const count = (counts: Map<string, number>, name: string): void => {
  counts.set(name, (counts.get(name) ?? 0) + 1);
};
