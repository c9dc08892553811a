/** The only reader of the time. Everything else takes the time as an argument. */
export function now(): Date {
  return new Date();
}
