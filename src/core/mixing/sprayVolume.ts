import type { TechniqueId } from "../remedies/remedies";
import { mL, type Millilitres } from "../units/volume";

/** Millilitres per centimetre of pot width, by technique (HOUSE): a 12 cm pot takes about 60 mL of spray. */
const perCentimetreMl: Record<TechniqueId, number> = {
  dab: 0.4,
  wipe: 2,
  spray: 5,
  sprayAndSwab: 6,
  hastySpray: 3,
  dunk: 150,
};

/**
 * Volume one plant of `potCm` is likely to take, rounded up to 5 mL.
 * An estimate (HOUSE) so that a sitting can name one volume; the keeper's own figure replaces it when recorded.
 * Throws RangeError unless `potCm` is above 0.
 * @example volumeFor("spray", 12) // 60 mL
 */
export function volumeFor(technique: TechniqueId, potCm: number): Millilitres {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return mL(Math.ceil((perCentimetreMl[technique] * potCm) / 5) * 5);
}
