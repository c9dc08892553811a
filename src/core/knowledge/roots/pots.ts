/** A usual pot against its width: its height, the width of its bottom, and how far it is filled (HOUSE). */
const HEIGHT = 0.9;
const BOTTOM = 0.75;
const FILLED = 0.9;

/** Widths of pots that are sold, cm (common practice, no source). */
export const potWidthsCm = [
  4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 17, 19, 21, 23, 26, 28, 30, 35, 40, 50, 60,
] as const;

/**
 * What a vessel that is round and narrows evenly holds, mL, from the inner widths at its top and bottom and its height, all in cm:
 * π h (D² + D d + d²) / 12. Throws RangeError unless all are above 0. Source: the frustum of a cone.
 * @example frustumMl(10, 10, 10) // 785.4, a cylinder
 */
export function frustumMl(topCm: number, bottomCm: number, heightCm: number): number {
  if (!(topCm > 0 && bottomCm > 0 && heightCm > 0)) throw new RangeError("a vessel has widths and a height");
  return (Math.PI * heightCm * (topCm ** 2 + topCm * bottomCm + bottomCm ** 2)) / 12;
}

/**
 * The mix in a usual pot `potCm` wide, mL. Throws RangeError unless `potCm` is above 0.
 * @example mixVolumeMl(12) // about 850
 */
export function mixVolumeMl(potCm: number): number {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return FILLED * frustumMl(potCm, BOTTOM * potCm, HEIGHT * potCm);
}

/** New mix around the roots that are left, against what they fill (HOUSE): they are to grow through it within the season. */
const ROOM_TO_GROW = 1.25;

/**
 * The pot for what is left of the roots, cm: the narrowest usual one whose mix is a quarter more than the share of the old pot's
 * that the roots still fill; never a wider one than before. `leftShare` is what is left of the roots, above 0 up to 1.
 * Throws RangeError for a pot without width or a share outside. Source: "to fit what roots are left", common practice.
 * @example potForRoots(14, 0.5) // 12
 */
export function potForRoots(potCm: number, leftShare: number): number {
  if (!(leftShare > 0 && leftShare <= 1)) throw new RangeError(`a share is above 0 and at most 1, got ${leftShare}`);
  const wanted = ROOM_TO_GROW * leftShare * mixVolumeMl(potCm);
  const fits = potWidthsCm.find((width) => mixVolumeMl(width) >= wanted);
  return Math.min(potCm, fits ?? potCm);
}
