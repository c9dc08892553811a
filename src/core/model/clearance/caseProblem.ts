/** What a case says cannot have been so, or cannot be reckoned. */
export class CaseProblem extends RangeError {
  constructor(
    /** Which of the case's events, in the order recorded; null for the case as a whole. */
    readonly event: number | null,
    message: string,
  ) {
    super(message);
  }
}
