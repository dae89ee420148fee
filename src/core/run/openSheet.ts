import type { JobTargets } from "./jobTargets";
import type { JobSheet, PieceSheet, RunSheet } from "./runSheet";

/** What sheets did not say before lots were counted anew. */
type Since = "fillings" | "larder" | "expected" | "costs";
type PieceSince =
  | "lots"
  | "roles"
  | "needBlanks"
  | "blanksTaken"
  | "fillings"
  | "promises"
  | "figures"
  | "now";
type Stored = Omit<RunSheet, Since | "jobs" | "pieces"> &
  Partial<Pick<RunSheet, Since>> & {
    readonly jobs: readonly (Omit<JobSheet, "lot" | "targets"> &
      Partial<Pick<JobSheet, "lot">> & {
        readonly targets: Omit<JobTargets, "endC" | "airC" | "wantedC"> &
          Partial<Pick<JobTargets, "endC" | "airC" | "wantedC">>;
      })[];
    readonly pieces: readonly (Omit<PieceSheet, PieceSince> & Partial<Pick<PieceSheet, PieceSince>>)[];
  };

const noLots: Pick<PieceSheet, PieceSince> = {
  lots: [],
  roles: [],
  needBlanks: 0,
  blanksTaken: 0,
  fillings: [],
  promises: [],
  figures: {},
  now: null,
};

/** A frozen sheet as it was kept, by whatever edition of this programme: of an early one no lot is counted anew. */
export function openSheet(json: string): RunSheet {
  const stored = JSON.parse(json) as Stored;
  return {
    ...stored,
    fillings: stored.fillings ?? [],
    expected: stored.expected ?? {},
    costs: stored.costs ?? { pieces: [], unpriced: [], trimG: 0 },
    larder: stored.larder ?? { uses: [], left: [], made: [] },
    jobs: stored.jobs.map(({ targets, ...job }) => ({
      ...job,
      lot: job.lot ?? null,
      targets: openTargets(targets),
    })),
    pieces: stored.pieces.map((piece) => ({ ...noLots, ...piece })),
  };
}

function openTargets(targets: Stored["jobs"][number]["targets"]): JobTargets {
  const endC = targets.endC === undefined ? targets.heatC : targets.endC;
  return { airC: endC, wantedC: endC, ...targets, endC };
}
