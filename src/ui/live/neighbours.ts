import { createStore } from "zustand/vanilla";
import type { Neighbour } from "@/schemas/live";
import { createId } from "../bench/createId";

interface Link {
  /** Who else has a page of this server open. */
  readonly others: readonly Neighbour[];
  /** The server tells this page what happens; null until it is known whether it does. */
  readonly isLinked: boolean | null;
}

/** Who and what is at the other end of this page's line. */
export const neighbours = createStore<Link>(() => ({ others: [], isLinked: null }));

let ownId: string | null = null;

/** This page's own name among the others; another page of the same device is another. */
export const readPageId = (): string => (ownId ??= createId("page"));

/** A page narrower than this is held in a hand, CSS px. */
const PHONE_PX = 640;

/** What this device is to whoever sees it from another. */
export const namePage = (): string =>
  window.innerWidth < PHONE_PX
    ? "A phone"
    : window.matchMedia("(pointer: coarse)").matches
      ? "A tablet"
      : "A computer";

/** Where a page is, as it is told to the others. */
export const readPlace = (): string => decodeURIComponent(location.pathname + location.search);
