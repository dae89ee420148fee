"use client";

import { useBench } from "../bench/BenchProvider";
import { Link } from "../controls/Link";

/** Said where a piece was removed, here or on another tablet. */
export function MissingPiece() {
  const date = useBench((state) => state.date);
  return (
    <p className="p-6">
      This piece is not in the book any more, or has no dough or filling.{" "}
      <Link className="why-link" href={`/day/${date}/book`}>
        Back to the book
      </Link>
    </p>
  );
}
