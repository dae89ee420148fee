"use client";

import { Printer } from "lucide-react";
import { Link } from "../controls/Link";

/** What goes along with the day on paper. */
const others = [
  { path: "", name: "Day sheet" },
  { path: "/weigh", name: "Weigh-out" },
  { path: "/labels?of=order", name: "Labels for orders" },
  { path: "/labels?of=tray", name: "Labels for trays" },
] as const;

/** Above a sheet on the screen, not on paper. */
export function PrintBar({ date }: { readonly date: string }) {
  return (
    <div className="no-print sticky top-0 flex flex-wrap gap-2 border-b border-base-300 bg-base-100 p-3">
      <Link href={`/day/${date}/orders`} className="btn touch">
        Back to the bench
      </Link>
      <button type="button" className="btn btn-primary touch" onClick={() => window.print()}>
        <Printer size={20} aria-hidden /> Print, A4 or Letter
      </button>
      <nav aria-label="Other sheets of this day" className="flex flex-wrap gap-2 sm:ml-auto">
        {others.map(({ path, name }) => (
          <Link key={path} href={`/print/${date}${path}`} className="btn btn-ghost touch">
            {name}
          </Link>
        ))}
      </nav>
    </div>
  );
}
