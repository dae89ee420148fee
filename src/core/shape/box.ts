/** Width and height of an upright box, mm. */
export interface BoxMm {
  readonly widthMm: number;
  readonly heightMm: number;
}
