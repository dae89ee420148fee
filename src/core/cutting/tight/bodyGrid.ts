import type { BoxMm } from "../../shape";
import type { Body } from "./body";

/** Cells along a side, at most: of a large sheet with small cuts each holds a few. */
const MOST_CELLS = 256;

type Bounds = Pick<Body, "leftMm" | "rightMm" | "topMm" | "bottomMm">;

/** Bodies by the cells of a sheet that they lie in, so that only those near a place are asked. */
export class BodyGrid {
  /** The numbers of the bodies in each. */
  private readonly cells: number[][];
  private readonly across: number;
  private readonly down: number;
  private readonly cellMm: number;
  private readonly bodies: Body[] = [];
  /** In which asking a body was met last, by its number: it lies in several cells and is met once. */
  private readonly metIn: number[] = [];
  private asked = 0;

  /** @param reachMm - About as wide as what is asked for. */
  constructor({ widthMm, heightMm }: BoxMm, reachMm: number) {
    this.cellMm = Math.max(reachMm, widthMm / MOST_CELLS, heightMm / MOST_CELLS);
    this.across = Math.max(Math.ceil(widthMm / this.cellMm), 1);
    this.down = Math.max(Math.ceil(heightMm / this.cellMm), 1);
    this.cells = Array.from({ length: this.across * this.down }, () => []);
  }

  add(body: Body): void {
    const number = this.bodies.push(body) - 1;
    this.metIn.push(0);
    this.everyCell(body, (cell) => {
      cell.push(number);
      return true;
    });
  }

  /**
   * Shows every body whose box reaches into this one, each once, until `look` says that it has seen enough.
   * @returns Whether all were shown.
   */
  everyNear(bounds: Bounds, look: (body: Body) => boolean): boolean {
    this.asked++;
    return this.everyCell(bounds, (cell) => {
      for (const number of cell) {
        if (this.metIn[number] === this.asked) continue;
        this.metIn[number] = this.asked;
        const body = this.bodies[number]!;
        const isApart =
          body.leftMm >= bounds.rightMm ||
          body.rightMm <= bounds.leftMm ||
          body.topMm >= bounds.bottomMm ||
          body.bottomMm <= bounds.topMm;
        if (!isApart && !look(body)) return false;
      }
      return true;
    });
  }

  /** What is outside of the sheet is in the cells of its edge. */
  private everyCell(
    { leftMm, rightMm, topMm, bottomMm }: Bounds,
    visit: (cell: number[]) => boolean,
  ): boolean {
    const at = (mm: number, count: number) => Math.min(Math.max(Math.floor(mm / this.cellMm), 0), count - 1);
    const [left, right] = [at(leftMm, this.across), at(rightMm, this.across)];
    const [top, bottom] = [at(topMm, this.down), at(bottomMm, this.down)];
    for (let line = top; line <= bottom; line++)
      for (let column = left; column <= right; column++)
        if (!visit(this.cells[line * this.across + column]!)) return false;
    return true;
  }
}
