import { Download } from "lucide-react";
import { Link } from "../controls/Link";

interface Props {
  readonly title: string;
  /** The other page that looks back. */
  readonly other: { readonly href: string; readonly name: string };
  /** Where all of it is written out, as CSV and JSON. */
  readonly api: string;
}

/** Head of a page that looks back: what it is, its files, and the way to the bench. */
export function LookBackHeader({ title, other, api }: Props) {
  return (
    <header className="flex flex-wrap items-center gap-3">
      <h1 className="min-w-0 basis-full text-3xl sm:flex-1 sm:basis-0 sm:text-4xl">{title}</h1>
      <Link className="btn touch" href={other.href}>
        {other.name}
      </Link>
      <a className="btn touch" href={`${api}?form=csv`}>
        <Download size={20} aria-hidden /> CSV
      </a>
      <a className="btn touch" href={api}>
        <Download size={20} aria-hidden /> JSON
      </a>
      <Link className="btn touch" href="/">
        To the bench
      </Link>
    </header>
  );
}
