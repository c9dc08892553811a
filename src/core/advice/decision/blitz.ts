import type { Act } from "../../acts/acts";
import type { ToolId } from "../../model/inspection/tools";
import { isCut, spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { spotsFor } from "../../knowledge/remedies/remedies";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { mixFor, refusals } from "../tolerance/mixFor";
import { volumeOfDose, type ContactDose } from "../planning/doses";

/** What hands and water do. */
export type Hand = "pickOff" | "prune" | "unpot" | "shower";

/** The worst part, a third of the plant at most, carries so many per cent of the animals (HOUSE). */
const WORST_PART_PERCENT = 50;

/** What hands do to a plant of a form in one way, searched with `tool` where the eye guides them. */
export function handAct(way: Hand, form: GrowthFormId, tool: ToolId): Act {
  const tools = { pickOff: tool, unpot: "unpotted", shower: null, prune: null } as const;
  const percent = way === "prune" ? WORST_PART_PERCENT : null;
  return { kind: "mechanical", way, tool: tools[way], percent, spots: [...spotsOf(form)] };
}

/** What hands do when everything is done in one day, in its order (common practice, no source). What stands in no pot is not unpotted. */
export function blitzHands(form: GrowthFormId): readonly Hand[] {
  const all = ["pickOff", "prune", "unpot", "shower"] as const;
  return all.filter((way) => (way !== "prune" || isCut(form)) && (way !== "unpot" || form !== "airPlant"));
}

/** What is put on after it: alcohol on every joint, then soap; of these what the plant bears. Wax bloom is only dabbed. */
export function blitzDoses(bearer: TreatedPlant): readonly ContactDose[] {
  const all: readonly ContactDose[] = bearer.sensitivities.includes("waxBloom")
    ? [{ remedy: "alcohol", technique: "dab" }]
    : [
        { remedy: "alcohol", technique: "sprayAndSwab" },
        { remedy: "soap", technique: "spray" },
      ];
  return all.filter(({ remedy, technique }) => refusals(remedy, technique, bearer).length === 0);
}

/**
 * Everything in one day, act by act in its order, as it is written down.
 * @example blitzActs(hoya, "lamp").map(({ kind }) => kind) // mechanical four times, contact twice
 */
export function blitzActs(bearer: TreatedPlant, tool: ToolId): readonly Act[] {
  const { form } = bearer;
  return [
    ...blitzHands(form).map((way) => handAct(way, form, tool)),
    ...blitzDoses(bearer).map((dose): Act => {
      const { remedy, technique } = dose;
      const mix = mixFor(remedy, bearer);
      return {
        kind: "contact",
        mix,
        technique,
        volumeMl: volumeOfDose(dose, bearer),
        spots: spotsFor(technique, form),
      };
    }),
  ];
}
