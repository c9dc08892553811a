/** Ends a closed union: the compiler proves that nothing gets here, and running code that does is broken. */
export function assertNever(value: never): never {
  throw new Error(`not a member of the union: ${JSON.stringify(value)}`);
}
