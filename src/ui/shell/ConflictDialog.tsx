"use client";

import { useBenchShell } from "../bench/BenchProvider";
import { Dialog } from "./Dialog";
import { listDifferences } from "./listDifferences";

/**
 * Two screens set one field: shows what stands there and here, and lets the baker choose. What else was changed on
 * either side is kept whichever is chosen, and nothing is lost meanwhile.
 */
export function ConflictDialog() {
  const conflict = useBenchShell((state) => state.conflict);
  const mine = useBenchShell((state) => state.mine);
  const isShown = useBenchShell((state) => state.isConflictShown);
  const resolve = useBenchShell((state) => state.resolveConflict);
  const show = useBenchShell((state) => state.showConflict);
  const differences = conflict
    ? listDifferences(conflict.theirs, mine).filter(({ name }) => conflict.fields.includes(name))
    : [];
  const subject = [conflict?.theirs, mine].find((record) => record && "name" in record);
  return (
    <Dialog
      open={conflict !== null && isShown}
      onClose={() => show(false)}
      title="Changed on another screen too"
    >
      {conflict && (
        <>
          {conflict.theirs && mine ? (
            <>
              <p className="mb-2" tabIndex={-1} data-first>
                {subject && "name" in subject ? <strong>{subject.name}: </strong> : null}
                set here and there at the same time. Everything else is kept from both.
              </p>
              <table className="table">
                <thead>
                  <tr>
                    <th scope="col">What</th>
                    <th scope="col">There</th>
                    <th scope="col">Here</th>
                  </tr>
                </thead>
                <tbody>
                  {differences.map(({ name, field, theirs, mine: here }) => (
                    <tr key={name}>
                      <th scope="row">{field}</th>
                      <td>{theirs}</td>
                      <td>{here}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
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
