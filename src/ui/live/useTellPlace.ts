import { useEffect } from "react";
import { MAX_TOLD_CHARACTERS } from "@/schemas/live";
import { nameField } from "./fieldName";
import { readPageId, readPlace } from "./neighbours";

/** Who walks through fields with the tabulator is told at the last of them, ms. */
const TOLD_AFTER_MS = 150;

/** Tells the others where this page is and which field it is in. What cannot be told is not told again: the next move is. */
export function useTellPlace(place: string): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const tell = (field: string | null) => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        const cut = (text: string) => text.slice(0, MAX_TOLD_CHARACTERS);
        fetch("/api/bench/here", {
          method: "POST",
          headers: { "content-type": "application/json" },
          body: JSON.stringify({ device: readPageId(), at: cut(readPlace()), field: field && cut(field) }),
        }).catch(() => undefined);
      }, TOLD_AFTER_MS);
    };
    const onIn = ({ target }: FocusEvent) => tell(nameField(target));
    const onOut = () => tell(null);
    tell(nameField(document.activeElement));
    document.addEventListener("focusin", onIn);
    document.addEventListener("focusout", onOut);
    return () => {
      clearTimeout(timer);
      document.removeEventListener("focusin", onIn);
      document.removeEventListener("focusout", onOut);
    };
  }, [place]);
}
