import type { TechniqueId } from "../remedies/remedies";
import { mL, type Millilitres } from "../../units/volume";

/** Millilitres per centimetre of pot width, by technique (HOUSE): a 12 cm pot takes about 60 mL of spray. */
const perCentimetreMl: Record<TechniqueId, number> = {
  dab: 0.4,
  wipe: 2,
  spray: 5,
  sprayAndSwab: 6,
  hastySpray: 3,
  dunk: 150,
  neckPour: 5,
  rootSoak: 40,
};

/**
 * Volume one plant of `potCm` is likely to take, rounded up to 5 mL.
 * An estimate (HOUSE) so that a session can name one volume; the keeper's own figure replaces it when recorded.
 * Throws RangeError unless `potCm` is above 0.
 * @example volumeFor("spray", 12) // 60 mL
 */
export function volumeFor(technique: TechniqueId, potCm: number): Millilitres {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return mL(Math.ceil((perCentimetreMl[technique] * potCm) / 5) * 5);
}

/** What a dunked plant carries off from the bath, mL per centimetre of pot width (HOUSE). */
const CARRIED_OFF_ML = 8;
/** The same, of the bath that the plant is reckoned with. */
export const DUNK_CARRIED_SHARE = CARRIED_OFF_ML / perCentimetreMl.dunk;

/**
 * What one session takes of a mix: each plant its own, but for those that are dunked: one bath, as large as the largest of them
 * needs, and what each carries off. Rounded up to 5 mL; 0 for none.
 * @example mixVolume([{ technique: "dunk", potCm: 10 }, { technique: "dunk", potCm: 12 }]) // 1800 + 176 → 1980
 */
export function mixVolume(plants: readonly { readonly technique: TechniqueId; readonly potCm: number }[]): Millilitres {
  const dunked = plants.filter(({ technique }) => technique === "dunk");
  const bath = dunked.reduce((most, { potCm }) => Math.max(most, volumeFor("dunk", potCm)), 0);
  const carried = dunked.reduce((sum, { potCm }) => sum + CARRIED_OFF_ML * potCm, 0);
  const others = plants
    .filter(({ technique }) => technique !== "dunk")
    .reduce((sum, { technique, potCm }) => sum + volumeFor(technique, potCm), 0);
  return mL(Math.ceil((bath + carried + others) / 5) * 5);
}
