import { headers } from "next/headers";
import { notFound } from "next/navigation";
import { getStore } from "@/data/getStore";
import { toFileFault } from "@/data/fileFault";

/**
 * Answers 404 where an address names something that is not in the book. Asked only when the page is loaded by its
 * address: on a way inside the application the screen knows better, since it may have made the thing a moment ago.
 */
export async function requireStored(kind: "piece" | "formula", id: string): Promise<void> {
  if ((await headers()).get("sec-fetch-dest") === "empty") return;
  let isThere: boolean;
  try {
    isThere = getStore().holds(kind, id);
  } catch (error) {
    // An ill file is said by the day's own layout.
    if (toFileFault(error)) return;
    throw error;
  }
  if (!isThere) notFound();
}
