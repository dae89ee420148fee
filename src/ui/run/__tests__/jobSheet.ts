import type { JobSheet } from "@/core/run";

/** A job as a run has it frozen, told as far as a test needs it. */
export const jobSheet = (taskId: string, over: Partial<JobSheet> = {}): JobSheet => ({
  taskId,
  kind: "fill",
  station: "fill",
  pieceId: null,
  formulaId: null,
  cutId: null,
  person: 0,
  pieces: 12,
  handsMin: 8,
  plannedMin: 8,
  slackMin: 0,
  title: `Fill ${taskId}`,
  about: "12 × Moon",
  figures: [
    { value: "24 g", what: "each" },
    { value: "12", what: "pieces" },
  ],
  steps: [],
  looks: { lookFor: ["clear of the rim"], more: { minutes: 2, atMost: 3 } },
  targets: { machineId: null, heatC: null, endC: null, portionG: null, window: null, custardC: null },
  cautions: ["Hot: do not touch."],
  drawing: null,
  weighing: [],
  liquid: null,
  stands: [],
  lot: null,
  ...over,
});
