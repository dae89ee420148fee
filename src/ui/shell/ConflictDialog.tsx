"use client";

import { useBench } from "../bench/BenchProvider";
import { Dialog } from "./Dialog";
import { listDifferences } from "./listDifferences";

/** Two screens changed one thing: shows what differs and lets the baker choose. Nothing is lost meanwhile. */
export function ConflictDialog() {
  const conflict = useBench((state) => state.conflict);
  const resolve = useBench((state) => state.resolveConflict);
  const differences = conflict ? listDifferences(conflict.theirs?.record ?? null, conflict.mine) : [];
  return (
    <Dialog open={conflict !== null} onClose={() => resolve("theirs")} title="Changed on another screen too">
      {conflict && (
        <>
          {conflict.theirs && conflict.mine ? (
            <table className="table">
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col">There</th>
                  <th scope="col">Here</th>
                </tr>
              </thead>
              <tbody>
                {differences.map(({ field, theirs, mine }) => (
                  <tr key={field}>
                    <th scope="row">{field}</th>
                    <td>{theirs}</td>
                    <td>{mine}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p>
              {conflict.theirs
                ? "You removed it here; it was changed there."
                : "It was removed there; you changed it here."}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            <button type="button" className="btn touch" onClick={() => resolve("theirs")}>
              Keep what is there
            </button>
            <button type="button" className="btn btn-primary touch" onClick={() => resolve("mine")}>
              Keep what is here
            </button>
          </div>
        </>
      )}
    </Dialog>
  );
}
