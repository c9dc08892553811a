import { productsOf, touchesOf, type Act } from "../../acts/acts";
import { anyHome, homeObjections, type Home } from "../../knowledge/household/household";
import { remediesIn } from "../../knowledge/mixes/mixes";
import { restsDry, type TreatedPlant } from "./treatedPlant";
import { objections, type Objection } from "./suitability";

/** What a home keeps out of an act on a place, whatever stands there. @example placeObjections(cards, anyHome) // [] */
export function placeObjections(act: Act, home: Home, outdoors = false): readonly Objection[] {
  return productsOf(act).flatMap((product) => homeObjections(product, home, { sensitivities: [], outdoors }));
}

/**
 * What speaks against an act of any kind on a plant: what the plant does not bear, what the home keeps out, and helpful animals that
 * live there or soon would. Refusals come first. @example actObjections({ kind: "trap", cards: 1, days: 7 }, hoya) // []
 */
export function actObjections(act: Act, bearer: TreatedPlant): readonly Objection[] {
  const against =
    act.kind === "contact"
      ? objections(bearer, act.mix, act.technique)
      : productsOf(act).flatMap((product) => homeObjections(product, bearer.home ?? anyHome, bearer));
  const { today, helpers } = bearer;
  const roots = atTheRoots(act, bearer).map((code) => ({ level: "refuse", code }) as const);
  if (!today || !helpers) return [...roots, ...against];
  const alive = touchesOf(act).helpers && helpers.aliveUntil !== null && today <= helpers.aliveUntil;
  const tooSoon = act.kind === "release" && helpers.freeFrom !== null && today < helpers.freeFrom;
  return [
    ...roots,
    ...against,
    ...(alive ? [{ level: "warn", code: "helpersAlive" } as const] : []),
    ...(tooSoon ? [{ level: "warn", code: "sprayedLately" } as const] : []),
  ];
}

/** What roots do not bear: alcohol, water on a mix that is wet already, and water while the plant rests dry. */
function atTheRoots(act: Act, { sensitivities, resting }: TreatedPlant): readonly Objection["code"][] {
  if (act.kind === "contact")
    return remediesIn(act.mix).includes("alcohol") && act.spots.includes("roots") && act.technique !== "rootSoak"
      ? ["alcoholOnRoots"]
      : [];
  if (act.kind !== "drench") return [];
  const rests = restsDry({ resting, sensitivities });
  return [...(act.before === "sodden" ? ["wetAlready" as const] : []), ...(rests ? ["dryRest" as const] : [])];
}
