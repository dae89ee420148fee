import type { ReactNode } from "react";
import { Link } from "../controls/Link";

/** A page with one sentence in the middle of it. */
export function Waiting({ text, children }: { readonly text: string; readonly children?: ReactNode }) {
  return (
    <main className="board flex min-h-dvh flex-col items-center justify-center gap-6 p-6 text-center">
      <p className="text-2xl" role="status">
        {text}
      </p>
      {children}
    </main>
  );
}

/** A day that was not begun: the bench is where it begins. */
export const NotRun = ({ date }: { readonly date: string }) => (
  <Waiting text="This day does not run yet.">
    <Link className="btn btn-primary touch" href={`/day/${date}/orders`}>
      To the bench
    </Link>
  </Waiting>
);
