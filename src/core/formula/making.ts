import { because, type Failure, type Plain } from "../result";

/** Where in the making of a filling a step stands. */
export type MakingStage =
  /** A part by itself, before the filling is put together. */
  | "apart"
  /** Putting it together. */
  | "together"
  /** To a part or to the filling, wherever it stands. */
  | "either"
  /** How long it stays as hot as the step before left it. */
  | "hot"
  /** For each lot, just before it goes in. */
  | "use";

export interface MakingFacts {
  readonly name: string;
  readonly stage: MakingStage;
  /** Whether hands do something in it. */
  readonly hasHands: boolean;
  /** The craft's first guess of what hands take, min. */
  readonly handsMin: number;
  /** What it usually takes by itself, min. */
  readonly minutes: number;
  readonly isHot: boolean;
  readonly lookFor: string;
}

const hands = { hasHands: true, minutes: 0, isHot: false } as const;
const byItself = { hasHands: false, handsMin: 0, isHot: false } as const;

/** The vocabulary of making a filling, sauce or glaze, in about the order in which it is done. */
const makingFacts = {
  cookPart: {
    ...hands,
    name: "Cook apart",
    stage: "apart",
    handsMin: 5,
    minutes: 20,
    isHot: true,
    lookFor: "soft, and no more liquid than is wanted",
  },
  make: { ...hands, name: "Put together", stage: "together", handsMin: 15, lookFor: "even all through" },
  cook: {
    ...hands,
    name: "Cook",
    stage: "either",
    handsMin: 2,
    minutes: 10,
    isHot: true,
    lookFor: "thick enough that a spoon leaves a track",
  },
  strain: { ...hands, name: "Strain", stage: "either", handsMin: 3, lookFor: "smooth, nothing held back" },
  cool: {
    ...byItself,
    name: "Cool",
    stage: "either",
    minutes: 30,
    lookFor: "film or paper laid right on it: no skin",
  },
  chill: { ...byItself, name: "Chill", stage: "either", minutes: 60, lookFor: "covered, cold right through" },
  keepHot: {
    ...byItself,
    name: "Keep hot",
    stage: "hot",
    minutes: 20,
    lookFor: "just below the boil, a lid on",
  },
  warm: {
    ...hands,
    name: "Warm",
    stage: "use",
    handsMin: 2,
    minutes: 3,
    isHot: true,
    lookFor: "until it bends, not until it boils",
  },
  loosen: { ...hands, name: "Stir smooth", stage: "use", handsMin: 2, lookFor: "falls from the spoon" },
} as const satisfies Readonly<Record<string, MakingFacts>>;

export type MakingKind = keyof typeof makingFacts;
export const makingKinds = Object.keys(makingFacts) as MakingKind[];
/** What the craft knows of a step of making. */
export const factsOfMaking = (kind: MakingKind): MakingFacts => makingFacts[kind];

/** One step of making a filling. */
export interface MakingStep {
  /** Its own within the making. */
  readonly id: string;
  readonly kind: MakingKind;
  /** Of a part, what it is; of another step, what this baker calls it. Empty for the usual. */
  readonly name: string;
  /** Hands, whatever the size of the batch; of a step for each lot, of one lot. */
  readonly handsMin: number;
  /** By itself after the hands; of `keepHot`, how long at the most. */
  readonly minutes: number;
}

/** How a filling goes from its weighed lines to what is spooned or poured, step by step. */
export type Making = readonly MakingStep[];

/** A step as it is usually done. */
export const createMakingStep = (
  id: string,
  kind: MakingKind,
  figures: Partial<Pick<MakingStep, "name" | "handsMin" | "minutes">> = {},
): MakingStep => {
  const { handsMin, minutes } = factsOfMaking(kind);
  return { id, kind, name: "", handsMin, minutes, ...figures };
};

/** A making of these steps, numbered in their order. */
export const createMaking = (
  steps: readonly (readonly [MakingKind, Partial<Pick<MakingStep, "name" | "handsMin" | "minutes">>?])[],
): Making => steps.map(([kind, figures], i) => createMakingStep(`m${i + 1}`, kind, figures));

/** The step in the baker's words. */
export function nameMakingStep({ kind, name }: MakingStep): string {
  if (kind === "cookPart" && name !== "") return `Cook ${name.toLowerCase()}`;
  return name || factsOfMaking(kind).name;
}

/** Before makings, a filling said parts cooked apart, hands to put it together, and cooling. */
export interface FormerMaking {
  readonly precooked?: readonly {
    readonly id: string;
    readonly name: string;
    readonly handMin: number;
    readonly cookMin: number;
    readonly coolMin: number;
  }[];
  readonly mixMin?: number;
  readonly coolMin?: number;
}

/** The making that former figures meant. */
export function toMaking({ precooked = [], mixMin = 15, coolMin = 0 }: FormerMaking): Making {
  return [
    ...precooked.flatMap(({ id, name, handMin, cookMin, coolMin: partCoolMin }) => [
      createMakingStep(id, "cookPart", { name, handsMin: handMin, minutes: cookMin }),
      ...(partCoolMin > 0 ? [createMakingStep(`${id}-cool`, "cool", { minutes: partCoolMin })] : []),
    ]),
    createMakingStep("make", "make", { handsMin: mixMin }),
    ...(coolMin > 0 ? [createMakingStep("cool", "cool", { minutes: coolMin })] : []),
  ];
}

/** What hands do in one go to a part or to the filling, with what passes by itself after it. */
export interface MakingJob {
  readonly steps: readonly MakingStep[];
  readonly handsMin: number;
  /** By its place in the list of jobs: what must be done before, and how long ago at the least. */
  readonly after: readonly { readonly job: number; readonly waitMin: number }[];
  readonly isApart: boolean;
}

/** A making as jobs: parts side by side, then one after the other; and what is done again for each lot. */
export interface MakingPlan {
  readonly jobs: readonly MakingJob[];
  /** From the end of the last job until it can be used, min. */
  readonly readyMin: number;
  /** It is used within so many minutes after it is ready; null where it keeps. */
  readonly hotMin: number | null;
  /** For each lot, before it goes in. */
  readonly use: readonly MakingStep[];
  /** From the end of the lot's hands until it can be used, min. */
  readonly useReadyMin: number;
  /** After that it is used within so many minutes; null for the usual of what is hot. */
  readonly useHotMin: number | null;
}

/**
 * Reads a making: each part cooked apart is a chain of its own, all of them are ready before the filling is put together,
 * and what follows is one chain. Steps without a wait between them are one job.
 */
export function readMaking(making: Making): MakingPlan {
  const jobs: MakingJob[] = [];
  const parts: { job: number; waitMin: number }[] = [];
  const use: MakingStep[] = [];
  let [last, waitMin, isApart] = [-1, 0, true];
  let [hotMin, useReadyMin, useHotMin] = [null as number | null, 0, null as number | null];
  const begin = (step: MakingStep, after: MakingJob["after"]) => {
    jobs.push({ steps: [step], handsMin: step.handsMin, after, isApart });
    last = jobs.length - 1;
    waitMin = step.minutes;
  };
  const join = (step: MakingStep) => {
    const job = jobs[last];
    if (!job) return;
    jobs[last] = { ...job, steps: [...job.steps, step], handsMin: job.handsMin + step.handsMin };
    waitMin += step.minutes;
  };
  const endPart = () => {
    if (last >= 0) parts.push({ job: last, waitMin });
    last = -1;
  };
  for (const step of making) {
    const { stage, hasHands } = factsOfMaking(step.kind);
    if (stage === "use") {
      use.push(step);
      useReadyMin += step.minutes;
    } else if (stage === "hot") {
      if (use.length > 0) {
        use.push(step);
        useHotMin = step.minutes;
      } else {
        join(step);
        waitMin -= step.minutes;
        hotMin = step.minutes;
      }
    } else if (stage === "apart") {
      endPart();
      begin(step, []);
    } else if (stage === "together") {
      endPart();
      isApart = false;
      begin(step, parts);
    } else if (hasHands && waitMin > 0 && last >= 0) begin(step, [{ job: last, waitMin }]);
    else join(step);
  }
  return { jobs, readyMin: waitMin, hotMin, use, useReadyMin, useHotMin };
}

/** Why a making cannot be. */
export type MakingFailure =
  | Failure<"notTogether", { readonly times: number }>
  /** A part cooked apart, or something else, stands where it comes too late. */
  | Failure<"tooLate", { readonly step: MakingKind; readonly before: MakingKind }>
  /** Nothing is there yet that it could be done to. */
  | Failure<"nothingYet", { readonly step: MakingKind }>
  /** It has cooled, or was never hot. */
  | Failure<"notHot", Plain>
  | Failure<"makingTooLong", { readonly steps: number; readonly most: number }>;

/** More steps than any filling of small pastry has. */
export const MOST_MAKING_STEPS = 20;

/** Everything that cannot be about a making; empty for one that can be done. */
export function checkMaking(making: Making): MakingFailure[] {
  const faults: MakingFailure[] = [];
  if (making.length > MOST_MAKING_STEPS)
    faults.push(because("makingTooLong", { steps: making.length, most: MOST_MAKING_STEPS }));
  const at = making.findIndex(({ kind }) => kind === "make");
  const times = making.filter(({ kind }) => kind === "make").length;
  if (times !== 1) faults.push(because("notTogether", { times }));
  const firstUse = making.findIndex(({ kind }) => factsOfMaking(kind).stage === "use");
  making.forEach(({ kind }, i) => {
    const { stage } = factsOfMaking(kind);
    if (stage === "apart" && at >= 0 && i > at)
      faults.push(because("tooLate", { step: kind, before: "make" as const }));
    if (stage === "use" && i < at) faults.push(because("tooLate", { step: "make" as const, before: kind }));
    if (stage !== "use" && stage !== "hot" && firstUse >= 0 && i > firstUse && i > at && kind !== "make")
      faults.push(because("tooLate", { step: kind, before: making[firstUse]!.kind }));
    if (stage === "either" && i === 0) faults.push(because("nothingYet", { step: kind }));
    if (stage === "hot" && !(i > at && isHotAfter(making[i - 1]))) faults.push(because("notHot", {}));
  });
  return faults;
}

const isHotAfter = (step: MakingStep | undefined): boolean =>
  step !== undefined && (factsOfMaking(step.kind).isHot || step.kind === "strain");
