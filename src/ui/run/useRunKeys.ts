import { useHotkeys } from "react-hotkeys-hook";

/**
 * The keys of a running day, by the sign they write. Enter on a button or a link is that one's own.
 * @param isOn - Not while a panel is open.
 */
export function useRunKeys(isOn: boolean, keys: Readonly<Record<string, () => void>>): void {
  useHotkeys(
    "*",
    (event) => {
      const act =
        event.ctrlKey || event.metaKey || event.altKey || event.repeat ? undefined : keys[event.key];
      if (!act || isOwn(event)) return;
      event.preventDefault();
      act();
    },
    { enabled: isOn },
  );
}

const isOwn = ({ key, target }: KeyboardEvent): boolean =>
  key === "Enter" && target instanceof HTMLElement && target.closest("button, a, summary") !== null;
