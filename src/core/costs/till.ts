/** What the house pays for and by. Money in the smallest coin. */
export interface Till {
  readonly id: string;
  /** An hour of hands; 0 where nobody said. */
  readonly hourMinor: number;
  /** A kilowatt-hour; 0 where nobody said. */
  readonly kwhMinor: number;
  /** Devices of the bench are not told what is asked and earned. */
  readonly hidesFromBench: boolean;
}

/** What one piece of a kind is sold for. Its id is the piece's. */
export interface Price {
  readonly id: string;
  readonly priceMinor: number;
}

/** Before anybody has said anything. */
export const FIRST_TILL: Till = { id: "till", hourMinor: 0, kwhMinor: 0, hidesFromBench: false };
