import type { ReactNode } from "react";

interface Props {
  /** The station's object, drawn. */
  readonly surface: ReactNode;
  /** Dials beside it. */
  readonly side?: ReactNode;
  readonly label: string;
  /** What stands below the dials. */
  readonly help?: ReactNode;
}

/** Work surface and dials: side by side on a tablet, one under the other in the hand. */
export function StationLayout({ surface, side, label, help }: Props) {
  return (
    <div className="flex h-full flex-col lg:flex-row">
      {/* It scrolls where it is higher than the screen: the keyboard must reach it though it holds but a drawing. */}
      <section
        aria-label={label}
        tabIndex={0}
        className="min-h-0 min-w-0 flex-1 p-4 lg:overflow-y-auto lg:p-5"
      >
        {surface}
      </section>
      {side && (
        <aside
          aria-label="Dials"
          className="flex flex-col gap-2.5 border-base-300 bg-base-100 p-4 lg:w-[370px] lg:shrink-0 lg:overflow-y-auto lg:border-l lg:p-5"
        >
          {side}
          {help}
        </aside>
      )}
    </div>
  );
}
