"use client";

import { Printer } from "lucide-react";
import Link from "next/link";

/** Above the day sheet on the screen, not on paper. */
export function PrintBar({ date }: { readonly date: string }) {
  return (
    <div className="no-print sticky top-0 flex gap-2 border-b border-base-300 bg-base-100 p-3">
      <Link href={`/day/${date}/orders`} className="btn touch">
        Back to the bench
      </Link>
      <button type="button" className="btn btn-primary touch" onClick={() => window.print()}>
        <Printer size={20} aria-hidden /> Print, A4 or Letter
      </button>
    </div>
  );
}
