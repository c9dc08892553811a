/** What differs by less is now, ms: a page takes a while to be filled in. */
const NOW_MS = 10 * 60_000;

/** Whether what a form holds is of another time than that at which it was opened, ms: mended, brought back, or begun on a kept page. A moment that is none is not. */
export function isOfAnotherTime(at: string, openedAt: number): boolean {
  return Math.abs(openedAt - new Date(at).getTime()) > NOW_MS;
}
