/**
 * How long a search may take, asked between its steps. The caller keeps the clock; what a search that was ended gives is
 * whole, and the best it had.
 */
export class Budget {
  private wasEnded = false;

  /** @param isSpent - Whether the time is over. Without it there is no end. */
  constructor(private readonly isSpent: () => boolean = () => false) {}

  /** Whether to stop here. Asked only where there is more to do: once true it stays so. */
  isOver(): boolean {
    this.wasEnded ||= this.isSpent();
    return this.wasEnded;
  }

  /** So many steps and no more, whatever the time: the same end on every machine. */
  static ofSteps(most: number): Budget {
    let left = most;
    return new Budget(() => left-- <= 0);
  }

  /** A search stopped before its end. */
  get cutShort(): boolean {
    return this.wasEnded;
  }
}
