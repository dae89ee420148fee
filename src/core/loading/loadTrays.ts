import { requireThat } from "../require";
import { because, fail, ok, type Failure, type Result } from "../result";
import { layOutRows, type Layout } from "../cutting";
import type { BoxMm } from "../shape";

export interface TrayRequest {
  readonly pieces: number;
  /** One piece as it lies on the tray. */
  readonly footprint: BoxMm;
  /** Least gap between two pieces. */
  readonly spacingMm: number;
  readonly tray: BoxMm;
  /** Trays in the oven at once. */
  readonly traysPerLoad: number;
  /** Moulds or pans there are for it, in pieces; null if it needs none. */
  readonly mostPerLoad: number | null;
}

export interface OvenLoad {
  readonly pieces: number;
  /** Pieces on each tray of the load. */
  readonly trays: readonly number[];
}

export interface TrayLoading {
  readonly perTray: number;
  readonly layout: Layout;
  readonly loads: readonly OvenLoad[];
}

/** Not one piece lies on the tray. */
export type TrayFailure = Failure<
  "tooLargeForTray",
  { readonly widthMm: number; readonly depthMm: number; readonly spacingMm: number }
>;

/** Clear rim all round a tray: half a spacing, so that pieces on neighbouring trays do not meet either. */
const RIM_SHARE_OF_SPACING = 0.5;

/**
 * Pieces on trays and trays in oven loads, filled in order; the last of each may be part full. No pieces, no loads.
 * @returns The loading, or why not one piece fits.
 * @throws {RangeError} If a count is not a whole number: ≥ 0 of pieces, ≥ 1 of trays and moulds.
 */
export function loadTrays(request: TrayRequest): Result<TrayLoading, TrayFailure> {
  const { pieces, footprint, spacingMm, tray, traysPerLoad, mostPerLoad } = request;
  requireThat("pieces", pieces, Number.isInteger(pieces) && pieces >= 0, "a whole number ≥ 0");
  requireThat(
    "traysPerLoad",
    traysPerLoad,
    Number.isInteger(traysPerLoad) && traysPerLoad >= 1,
    "a whole number ≥ 1",
  );
  if (mostPerLoad !== null)
    requireThat(
      "mostPerLoad",
      mostPerLoad,
      Number.isInteger(mostPerLoad) && mostPerLoad >= 1,
      "a whole number ≥ 1",
    );
  const layout = layOutRows({
    outline: { kind: "rectangle", ...footprint },
    sheet: tray,
    webMm: spacingMm,
    marginMm: spacingMm * RIM_SHARE_OF_SPACING,
    mayTurn: true,
  });
  if (!layout.ok) {
    const [widthMm, depthMm] = [footprint.widthMm, footprint.heightMm];
    return fail(because("tooLargeForTray", { widthMm, depthMm, spacingMm }));
  }
  const perTray = layout.value.count;
  const loads = splitInto(pieces, Math.min(perTray * traysPerLoad, mostPerLoad ?? Infinity)).map((count) => ({
    pieces: count,
    trays: splitInto(count, perTray),
  }));
  return ok({ perTray, layout: layout.value, loads });
}

/** `total` in parts of `size`, the last with what remains. */
function splitInto(total: number, size: number): number[] {
  return Array.from({ length: Math.ceil(total / size) }, (_, i) => Math.min(size, total - i * size));
}
