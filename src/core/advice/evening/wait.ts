import { touchesOf, type Act } from "../../acts/acts";
import { daysBetween, type Day } from "../../shared/days";
import type { LabelObjection } from "../labels/label";
import { actObjections } from "../tolerance/actObjections";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import type { Objection } from "../tolerance/suitability";

/** Above this oil burns leaves, and other sprays too (oil labels, from memory), °C. */
const TOO_HOT_C = 32;
/** A mix that was soaked is sodden for so long: nothing more is poured on it, and nothing dunked (HOUSE). */
const SODDEN_DAYS = 2;

/** Why something is not done this evening, whatever the time. */
export type Wait =
  | { readonly code: "against"; readonly objection: Objection["code"] }
  | { readonly code: "label"; readonly objection: LabelObjection }
  | { readonly code: "too_hot"; readonly celsius: number }
  | { readonly code: "sodden"; readonly soakedOn: Day };

/** A treatment that is asked for, on its plant. */
export interface Waiting {
  readonly act: Act;
  readonly bearer: TreatedPlant;
  /** What its label has against this day. */
  readonly label: readonly LabelObjection[];
  /** How warm it is where the plant stands; null where nobody knows. */
  readonly celsius: number | null;
  /** Of a finished mix; 0 where nothing is mixed. */
  readonly volumeMl: number;
  /** The day on which something was last poured on its mix; null where nobody wrote that down. */
  readonly soakedOn: Day | null;
}

/**
 * What keeps a treatment from being done on `day`: what the plant or the home refuses, its label, heat, and a mix that is wet already
 * where more water would reach it. Empty where nothing is against it. Source: common practice; oil labels, from memory.
 * @example mustWait({ act: spray, bearer, label: [], celsius: 34, volumeMl: 200, soakedOn: null }, day) // [{ code: "too_hot", celsius: 34 }]
 */
export function mustWait({ act, bearer, label, celsius, volumeMl, soakedOn }: Waiting, day: Day): readonly Wait[] {
  const refused = actObjections(act, bearer).filter(({ level }) => level === "refuse");
  return [
    ...refused.map(({ code }) => ({ code: "against", objection: code }) as const),
    ...label.map((objection) => ({ code: "label", objection }) as const),
    ...(celsius !== null && celsius > TOO_HOT_C && volumeMl > 0 ? [{ code: "too_hot", celsius } as const] : []),
    ...(soakedOn !== null && touchesOf(act).mix && daysBetween(soakedOn, day) < SODDEN_DAYS
      ? [{ code: "sodden", soakedOn } as const]
      : []),
  ];
}
