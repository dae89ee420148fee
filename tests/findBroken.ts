import type { Page } from "@playwright/test";

/**
 * Amounts in tables that are broken between figure and unit, as they stand on the page now, each with its cell's words. What
 * names a row may break anywhere. And figures that touch those of the next column, so that they read as one.
 */
export const findBroken = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const amounts = /\d[\d.,]* (?:g|kg|mm|cm|ml|l|°C|%|min|h)(?![\p{L}\d])/gu;
    const cells = [...document.querySelectorAll<HTMLElement>("main td:not(:first-child)")].filter((cell) =>
      cell.checkVisibility(),
    );
    /** Between two columns of figures there is a letter's room, px. */
    const gapPx = 4;
    const linesOf = (cell: HTMLElement) => {
      const range = document.createRange();
      range.selectNodeContents(cell);
      return [...range.getClientRects()].filter(({ width }) => width > 0);
    };
    const touching = cells.flatMap((cell) => {
      const next = cell.nextElementSibling as HTMLElement | null;
      if (!cell.matches(".figure") || !next?.matches(".figure") || !next.checkVisibility()) return [];
      const nexts = linesOf(next);
      const isClose = linesOf(cell).some((a) =>
        nexts.some((b) => a.top < b.bottom && b.top < a.bottom && b.left - a.right < gapPx),
      );
      return isClose ? [`touching: ${cell.innerText.slice(0, 30)} and ${next.innerText.slice(0, 30)}`] : [];
    });
    const broken = cells.flatMap((cell) => {
      const texts: Text[] = [];
      const walk = document.createTreeWalker(cell, NodeFilter.SHOW_TEXT);
      while (walk.nextNode()) texts.push(walk.currentNode as Text);
      return texts.flatMap((text) =>
        [...text.data.matchAll(amounts)].flatMap(({ 0: amount, index }) => {
          const range = document.createRange();
          range.setStart(text, index);
          range.setEnd(text, index + amount.length);
          const lines = new Set([...range.getClientRects()].map(({ top }) => Math.round(top)));
          return lines.size > 1 ? [`${amount} in: ${cell.innerText.slice(0, 60)}`] : [];
        }),
      );
    });
    return [...broken, ...touching];
  });
