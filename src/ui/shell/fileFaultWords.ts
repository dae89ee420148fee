/** What ails the data file, in words. */
export interface FileFaultWords {
  readonly kind: string;
  /** What is wrong. */
  readonly message: string;
  /** What mends it. */
  readonly remedy: string;
}
