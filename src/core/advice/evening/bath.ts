import { mL, type Millilitres } from "../../units/volume";
import type { PlannedDose } from "../../record/facts/kinds/programme";
import { DUNK_CARRIED_SHARE, mixVolume, volumeFor } from "../../knowledge/mixes/sprayVolume";
import { isWork } from "../planning/doses";
import type { TechniqueId } from "../../knowledge/remedies/remedies";

/** One plant that something is put on. */
export interface BathPlant {
  readonly id: string;
  readonly technique: TechniqueId;
  readonly potCm: number;
}

/** One bath for all that are dunked in one mix on one evening. All mL. */
export interface Bath {
  readonly bathMl: number;
  /** What the plants carry off. */
  readonly carriedMl: number;
  /** What is left when the last has been lifted out. */
  readonly leftMl: number;
  /** Plants on which what is left is sprayed, strained, the same evening; the largest need first, as far as it goes. */
  readonly serves: readonly string[];
  /** What is to be mixed in all: the bath with what is carried off, and what it does not serve. */
  readonly mixMl: number;
}

/**
 * The bath of one mix: as large as its largest plant needs, filled up with what each carries off, and what is left of it strained and
 * sprayed on those that are not dunked (common practice). Null where nothing is dunked. Not a millilitre is made or lost:
 * `mixMl` = what is carried off + what is sprayed + what remains.
 * @example bathOf([]) // null
 */
export function bathOf(plants: readonly BathPlant[]): Bath | null {
  const dunked = plants.filter(({ technique }) => technique === "dunk");
  if (dunked.length === 0) return null;
  const volumes = dunked.map(({ potCm }) => volumeFor("dunk", potCm) as number);
  const carriedMl = volumes.reduce((sum, ml) => sum + ml * DUNK_CARRIED_SHARE, 0);
  const leftMl = Math.max(...volumes);
  const sprayed = plants
    .filter(({ technique }) => technique !== "dunk")
    .map(({ id, technique, potCm }) => ({ id, ml: volumeFor(technique, potCm) as number }))
    .toSorted((a, b) => b.ml - a.ml || (a.id < b.id ? -1 : 1));
  let rest = leftMl;
  const serves: string[] = [];
  let mixed = 0;
  for (const { id, ml } of sprayed) {
    if (ml <= rest) {
      serves.push(id);
      rest -= ml;
    } else mixed += ml;
  }
  return { bathMl: leftMl + carriedMl, carriedMl, leftMl, serves, mixMl: leftMl + carriedMl + mixed };
}

/** One planned treatment, with what it takes where nothing is shared. */
export interface MixPart {
  readonly stepId: string;
  readonly planned: PlannedDose;
  readonly potCm: number;
  readonly volumeMl: number;
}

/**
 * What is mixed for the treatments of one batch, rounded up to 5 mL: with its bath, whose leftover serves others, and each its own
 * where nothing is dunked. 0 where nothing is mixed. @example mixOf([]).mixMl // 0
 */
export function mixOf(parts: readonly MixPart[]): { readonly bath: Bath | null; readonly mixMl: Millilitres } {
  const put = parts.flatMap(({ planned, potCm, stepId }) =>
    isWork(planned) ? [] : [{ id: stepId, technique: planned.technique, potCm }],
  );
  const bath = bathOf(put);
  const works = parts.reduce((sum, { planned, volumeMl }) => sum + (isWork(planned) ? volumeMl : 0), 0);
  return { bath, mixMl: mL(Math.ceil(((bath?.mixMl ?? mixVolume(put)) + works) / 5) * 5) };
}
