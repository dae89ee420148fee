/** One step of a reason: what was done and the figure it gave. */
export interface WhyStep {
  readonly text: string;
  readonly figure: string;
}
