import type { Page } from "@playwright/test";

/** A finger's breadth, px, less what a browser rounds away. */
const FINGER_PX = 43.5;

/**
 * What a finger can hardly hit on the page as it is now, each by its words and its size: targets that are smaller than
 * 44 px, with what their label or an invisible margin adds; and fields, buttons and links that lie over one another.
 * Words within a sentence are left out, and drawings, whose parts have a test of their own.
 */
export const findTight = (page: Page): Promise<string[]> =>
  page.evaluate((fingerPx) => {
    const listed = document.querySelectorAll<HTMLElement>(
      "a[href], button, input:not([type=hidden], [type=file]), select, textarea, [role=slider], summary",
    );
    const isSeen = (element: HTMLElement) => {
      const { width } = element.getBoundingClientRect();
      return (
        width > 0 &&
        element.checkVisibility({ visibilityProperty: true }) &&
        !element.closest("dialog:not([open])")
      );
    };
    const isInSentence = (element: HTMLElement) =>
      element.matches("a, button") &&
      getComputedStyle(element).display === "inline" &&
      (element.parentElement?.textContent.trim().length ?? 0) > element.textContent.trim().length + 3;
    const words = (element: HTMLElement) =>
      (element.getAttribute("aria-label") ?? element.closest("label")?.textContent ?? element.textContent)
        .trim()
        .slice(0, 50);
    const seen = [...listed].filter((element) => isSeen(element) && !element.matches("svg *"));
    const small = seen.flatMap((element) => {
      const target = element.matches("[type=radio], [type=checkbox]")
        ? (element.closest("label") ?? element)
        : element;
      const { width, height } = target.getBoundingClientRect();
      const margin = getComputedStyle(target, "::after");
      const reach = margin.content !== "none" && margin.position === "absolute" ? margin : null;
      const high = Math.max(height, reach ? parseFloat(reach.height) : 0);
      const wide = Math.max(width, reach ? parseFloat(reach.width) : 0);
      const isTight = high < fingerPx || wide < fingerPx;
      return isTight && !isInSentence(element)
        ? [`small: ${words(element)} ${Math.round(wide)}×${Math.round(high)}`]
        : [];
    });
    const boxed = seen
      .filter((element) => element.matches(".btn, .input, .select, .textarea") && !element.closest(".sticky"))
      .map((element) => ({ element, box: element.getBoundingClientRect() }));
    const over = boxed.flatMap(({ element: one, box: a }, i) =>
      boxed.slice(i + 1).flatMap(({ element: other, box: b }) => {
        const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        return across > 2 && down > 2 && !one.contains(other) && !other.contains(one)
          ? [`over: ${words(one)} and ${words(other)}`]
          : [];
      }),
    );
    return [...small, ...over];
  }, FINGER_PX);
