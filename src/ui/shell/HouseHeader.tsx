import { Link } from "../controls/Link";

/** The head of a page of the house, beside any day: what it is, and the way back. */
export const HouseHeader = ({ title }: { readonly title: string }) => (
  <header className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
    <Link
      href="/"
      className="touch figure flex shrink-0 items-center text-2xl"
      aria-label="Tezgah, to the bench"
    >
      tezgah
    </Link>
    <h1 className="text-3xl">{title}</h1>
    <Link href="/" className="btn touch ml-auto">
      Back to the bench
    </Link>
  </header>
);
