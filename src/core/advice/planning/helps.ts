import { eventsOfAct } from "../../acts/acts";
import type { Application } from "../../acts/contact";
import type { Conditions, Target } from "../../acts/kind";
import { workOf } from "../../acts/works";
import type { PestId } from "../../knowledge/pests/pests";
import { pestOf } from "../../knowledge/pests/pests";
import { isCut, spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import type { ComingDose } from "./future";

/** What may be added to a plan once, on its first day, to get where sprays do not. */
export const helpIds = ["dunk", "unpot", "prune", "systemic"] as const;
export type HelpId = (typeof helpIds)[number];

export interface Help {
  readonly id: HelpId;
  readonly does: ComingDose["dose"];
}

/**
 * What can be added on a plant of a form against a pest, as the model takes it; `dunk` is the bath it would be dunked in. What the
 * plant does not bear the caller leaves out. `now` is how it is where the plant stands; as the tables take it where left out.
 */
export function helpsFor(pestId: PestId, form: GrowthFormId, dunk: Application, now?: Conditions): Help[] {
  const target: Target = { pest: pestOf(pestId), weights: pestId, form, ...(now && { conditions: () => now }) };
  const unpot = { kind: "mechanical", way: "unpot", tool: null, percent: null, spots: [...spotsOf(form)] } as const;
  const systemic = { kind: "systemic", remedy: "throughTheRoots", given: "" } as const;
  const all: Help[] = [
    { id: "dunk", does: dunk },
    { id: "unpot", does: { events: eventsOfAct({ ...unpot, spots: [...unpot.spots] }, target, 0) } },
    ...(isCut(form)
      ? [{ id: "prune" as const, does: { events: eventsOfAct(workOf("prune").act({ form, potCm: 12 }), target, 0) } }]
      : []),
    { id: "systemic", does: { events: eventsOfAct(systemic, target, 0) } },
  ];
  return all.filter(({ does }) => !("events" in does) || does.events.length > 0);
}
