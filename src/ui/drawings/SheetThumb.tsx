import type { CutSheet } from "@/core/cutting";

interface Props {
  readonly sheet: CutSheet;
  readonly scale: number;
  readonly selected: boolean;
  readonly label: string;
  readonly onSelect: () => void;
}

/** Which rolling a sheet is of, in words. */
export function namePass({ pass, isDecoration }: Pick<CutSheet, "pass" | "isDecoration">): string {
  if (isDecoration) return "decorations";
  return pass === 0 ? "first rolling" : `re-roll ${pass}`;
}

/** A sheet as a small card to scale with its count; a re-roll has a broken edge and says so. */
export function SheetThumb({ sheet, scale, selected, label, onSelect }: Props) {
  const { widthMm, heightMm } = sheet.sheet;
  const rerolled = sheet.pass > 0;
  return (
    <button
      type="button"
      onClick={onSelect}
      aria-pressed={selected}
      aria-label={label}
      className="touch flex cursor-pointer flex-col items-center justify-center rounded-lg p-1 outline-offset-0 aria-pressed:bg-base-100 aria-pressed:ring-4 aria-pressed:ring-primary"
    >
      <span
        className={`figure flex items-center justify-center rounded border-2 text-lg ${rerolled ? "border-dashed" : ""}`}
        style={{
          width: Math.max(widthMm * scale, 30),
          height: Math.max(heightMm * scale, 28),
          background: "var(--dough)",
          borderColor: "var(--dough-line)",
          borderRadius: sheet.sheet.shape === "oval" ? "50%" : undefined,
        }}
      >
        {sheet.count}
      </span>
      <span className="quiet text-xs whitespace-nowrap">{namePass(sheet)}</span>
    </button>
  );
}
