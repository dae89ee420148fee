import { countPlanned, listDemands, type JobDrawing, type TaskRun } from "@/core/run";

interface Props {
  readonly drawing: Extract<JobDrawing, { kind: "sheet" }>;
  readonly measured: TaskRun["measured"];
  /** Null where the sheet has one outline. */
  readonly onCount: (count: number, demandId: string | null) => void;
}

/** How many a sheet really gave, outline by outline: right as planned unless somebody says otherwise. */
export function CutCounts({ drawing: { sheet, roles }, measured, onCount }: Props) {
  const demandIds = listDemands(sheet.parts);
  const counts = measured.filter(({ measure }) => measure === "cutCount");
  return demandIds.map((demandId) => {
    const part = demandIds.length > 1 ? demandId : null;
    const role = roles.find((each) => each.demandId === demandId);
    return (
      <CutCount
        key={demandId}
        what={part === null || !role ? "really cut" : `${role.role}, ${role.pieceName}`}
        planned={countPlanned(sheet.parts, demandId)}
        counted={counts.findLast((each) => each.part === part)?.value ?? null}
        onCount={(value) => onCount(value, part)}
      />
    );
  });
}

function CutCount({
  what,
  planned,
  counted,
  onCount,
}: {
  readonly what: string;
  readonly planned: number;
  readonly counted: number | null;
  readonly onCount: (count: number) => void;
}) {
  const count = counted ?? planned;
  return (
    <div className="flex items-center gap-3" role="group" aria-label={`Count: ${what}`}>
      <button
        type="button"
        className="btn h-14 w-16 text-2xl"
        aria-label="One less was cut"
        disabled={count <= 0}
        onClick={() => onCount(count - 1)}
      >
        −
      </button>
      <output className="figure w-16 text-center text-4xl">{count}</output>
      <button
        type="button"
        className="btn h-14 w-16 text-2xl"
        aria-label="One more was cut"
        onClick={() => onCount(count + 1)}
      >
        +
      </button>
      <span className="quiet">{counted === null ? `${what}, as planned` : `${what}, of ${planned}`}</span>
    </div>
  );
}
