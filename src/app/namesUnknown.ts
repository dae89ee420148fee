import { findOpenStore } from "@/data/dataFile";
import { toFileFault } from "@/data/fileFault";

/** Pages of one piece, and of one formula. */
const PAGES = /^\/day\/[^/]+\/(?:(piece)|formula|rest|weigh)\/([^/]+)/;

/** Does the address name a piece or a formula that there is not? An ill data file is said by the page itself. */
export function namesUnknown(pathname: string): boolean {
  const [, piece, id] = PAGES.exec(pathname) ?? [];
  if (id === undefined) return false;
  const store = findOpenStore();
  if (!store) return false;
  try {
    return !store.holds(piece ? "piece" : "formula", id);
  } catch (error) {
    if (toFileFault(error)) return false;
    throw error;
  }
}
