/** How warm it is, where that is known. */
export function warmthInWords(meanC: number | null): string {
  return meanC === null ? "nobody has said how warm it is" : `${Math.round(meanC * 10) / 10} °C`;
}
