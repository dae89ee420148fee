import { Dialog } from "./Dialog";

const keys: readonly (readonly [keys: string, what: string])[] = [
  ["1 – 7", "go to a station, Orders to Cool & finish"],
  ["/ or Ctrl K", "find a piece, a formula, a day, a command"],
  ["B", "open the book: pieces, formulas, kit, days"],
  ["Ctrl Z", "undo"],
  ["Ctrl Shift Z", "redo"],
  ["arrows", "move a dial by one step when it has the focus"],
  ["?", "this list"],
];

/** The keys, on one card. */
export function KeysDialog({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-2">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="key">{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
