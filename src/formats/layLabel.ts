import type { BoxMm } from "@/core/shape";
import type { LabelPart, Paragraph, Run } from "./labelText";
import { PT_PER_MM } from "./paper";

/** Words at their place on a label: the left end of their base line, mm from its upper left corner. */
export interface PlacedRun extends Run {
  readonly xMm: number;
  readonly yMm: number;
  readonly sizePt: number;
}

export interface LaidLabel {
  readonly runs: readonly PlacedRun[];
  /** Parts for which there was no room, the least needed first. */
  readonly leftOff: readonly LabelPart[];
  /** Not even what must be named has room: a larger label is needed. */
  readonly isTooSmall: boolean;
}

/** Width of a text, mm. */
export type Measure = (text: string, sizePt: number, isBold: boolean) => number;

/** Printers leave a rim white, and labels are never quite where they should be, mm. */
const RIM_MM = 2.5;
/**
 * Sizes that are tried, points: the largest first. The least has letters of about 1.1 mm, more than the 0.9 mm that
 * many countries ask of small packs.
 */
const SIZES_PT = [13, 12, 11, 10, 9, 8, 7.5, 7, 6.5, 6] as const;
/** How much larger the title is than the rest, and the line than its letters. */
const TITLE_TIMES = 1.45;
const LINE_TIMES = 1.18;
/** Of a line's height, what lies above its base line. */
const ASCENT_SHARE = 0.8;
/** What is left off where there is no room, in this order; all else must be named. */
const SPARED: readonly LabelPart[] = ["warmUp", "weight", "ingredients", "keep"];

/** Sets a label's paragraphs into its box: as large as they fit, and if they do not at the least size, fewer of them. */
export function layLabel(paragraphs: readonly Paragraph[], box: BoxMm, measure: Measure): LaidLabel {
  const widthMm = box.widthMm - 2 * RIM_MM;
  const heightMm = box.heightMm - 2 * RIM_MM;
  const leftOff: LabelPart[] = [];
  for (const spared of [null, ...SPARED]) {
    if (spared !== null) {
      if (!paragraphs.some(({ part }) => part === spared)) continue;
      leftOff.push(spared);
    }
    const kept = paragraphs.filter(({ part }) => !leftOff.includes(part));
    for (const sizePt of SIZES_PT) {
      const laid = setParagraphs(kept, sizePt, widthMm, measure);
      if (laid.heightMm <= heightMm && laid.widthMm <= widthMm)
        return { runs: laid.runs, leftOff, isTooSmall: false };
    }
  }
  const kept = paragraphs.filter(({ part }) => !leftOff.includes(part));
  const least = setParagraphs(kept, SIZES_PT[SIZES_PT.length - 1] ?? SIZES_PT[0], widthMm, measure);
  return { runs: least.runs, leftOff, isTooSmall: true };
}

interface Word extends Run {
  readonly widthMm: number;
  /** A space stands before it where it does not begin a line. */
  readonly isApart: boolean;
}

function setParagraphs(paragraphs: readonly Paragraph[], bodyPt: number, widthMm: number, measure: Measure) {
  const runs: PlacedRun[] = [];
  let atMm = RIM_MM;
  let widestMm = 0;
  for (const { part, runs: said } of paragraphs) {
    const sizePt = part === "title" ? bodyPt * TITLE_TIMES : bodyPt;
    const lineMm = (sizePt * LINE_TIMES) / PT_PER_MM;
    const spaceOf = ({ isBold }: Pick<Run, "isBold">) => measure(" ", sizePt, isBold);
    for (const line of breakLines(toWords(said, sizePt, widthMm, measure), widthMm, spaceOf)) {
      let xMm = 0;
      for (const { text, isBold, isApart } of joinWords(line)) {
        if (isApart && xMm > 0) xMm += spaceOf({ isBold });
        runs.push({ text, isBold, sizePt, xMm: RIM_MM + xMm, yMm: atMm + lineMm * ASCENT_SHARE });
        xMm += measure(text, sizePt, isBold);
      }
      widestMm = Math.max(widestMm, xMm);
      atMm += lineMm;
    }
  }
  return { runs, heightMm: atMm - RIM_MM, widthMm: widestMm };
}

/** Words of all runs; a run that follows another without a space sticks to its last word. */
function toWords(runs: readonly Run[], sizePt: number, widthMm: number, measure: Measure): Word[] {
  let isApart = false;
  return runs.flatMap(({ text, isBold }) =>
    text.split(" ").flatMap((word, i): Word[] => {
      if (i > 0) isApart = true;
      if (word === "") return [];
      const isFirstApart = isApart;
      isApart = false;
      return splitWide(word, widthMm, (part) => measure(part, sizePt, isBold)).map((part, n) => ({
        ...part,
        isBold,
        isApart: n > 0 || isFirstApart,
      }));
    }),
  );
}

/** A word wider than the label in parts that are not; a single letter, with what marks it carries, is never split. */
function splitWide(
  word: string,
  widthMm: number,
  measure: (text: string) => number,
): { readonly text: string; readonly widthMm: number }[] {
  const wordMm = measure(word);
  const whole = [{ text: word, widthMm: wordMm }];
  if (wordMm <= widthMm) return whole;
  const letters = Array.from(new Intl.Segmenter("en").segment(word), ({ segment }) => segment);
  if (letters.length < 2) return whole;
  const room = letters.findIndex((_, i) => measure(letters.slice(0, i + 1).join("")) > widthMm);
  const cut = Math.max(room, 1);
  const head = letters.slice(0, cut).join("");
  return [
    { text: head, widthMm: measure(head) },
    ...splitWide(letters.slice(cut).join(""), widthMm, measure),
  ];
}

/** Greedy, a space as wide as the word after it has them: what sticks together goes to the next line together. */
function breakLines(words: readonly Word[], widthMm: number, spaceOf: (before: Word) => number): Word[][] {
  const clusters = words.reduce<Word[][]>((all, word) => {
    const last = all.at(-1);
    if (last && !word.isApart) last.push(word);
    else all.push([word]);
    return all;
  }, []);
  const lines: Word[][] = [];
  let usedMm = 0;
  for (const cluster of clusters) {
    const clusterMm = cluster.reduce((sum, word) => sum + word.widthMm, 0);
    const spaceMm = cluster[0] ? spaceOf(cluster[0]) : 0;
    const last = lines.at(-1);
    if (last && usedMm + spaceMm + clusterMm <= widthMm) {
      last.push(...cluster);
      usedMm += spaceMm + clusterMm;
    } else {
      lines.push([...cluster]);
      usedMm = clusterMm;
    }
  }
  return lines;
}

/** Words of one weight that follow each other on a line are written, and measured, in one go. */
const joinWords = (line: readonly Word[]): Omit<Word, "widthMm">[] =>
  line.reduce<Omit<Word, "widthMm">[]>((all, word) => {
    const last = all.at(-1);
    if (last?.isBold !== word.isBold) return [...all, word];
    return [...all.slice(0, -1), { ...last, text: `${last.text}${word.isApart ? " " : ""}${word.text}` }];
  }, []);
