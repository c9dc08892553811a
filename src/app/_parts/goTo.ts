/** Loads a page anew: nothing of what was shown to somebody else, or to nobody, is left on it. */
export function goTo(path: string): void {
  location.assign(path);
}
