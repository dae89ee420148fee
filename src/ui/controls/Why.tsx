import type { WhyStep } from "@/core/plan";

/** The reason of a figure, step by step, when it is asked for. */
export function Why({
  steps,
  label = "why?",
}: {
  readonly steps: readonly WhyStep[];
  readonly label?: string;
}) {
  return (
    <details className="text-sm">
      <summary className="why-link inline-flex min-h-11 items-center">{label}</summary>
      <ol className="mt-1 flex flex-col gap-1">
        {steps.map(({ text, figure }, i) => (
          <li
            key={i}
            className="flex items-baseline justify-between gap-3 border-b border-dotted border-base-300"
          >
            <span className="quiet">{text}</span>
            <span className="figure text-right">{figure}</span>
          </li>
        ))}
      </ol>
    </details>
  );
}
