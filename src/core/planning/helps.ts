import { eventsOfAct } from "../acts/acts";
import type { Application } from "../acts/contact";
import type { PestId } from "../pests/pests";
import { pestOf } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { ComingDose } from "./future";

/** What may be added to a plan once, on its first day, to get where sprays do not. */
export const helpIds = ["dunk", "unpot", "systemic"] as const;
export type HelpId = (typeof helpIds)[number];

export interface Help {
  readonly id: HelpId;
  readonly does: ComingDose["dose"];
}

/**
 * What can be added on a plant of a form against a pest, as the model takes it; `dunk` is the bath it would be dunked in. What the
 * plant does not bear the caller leaves out.
 */
export function helpsFor(pestId: PestId, form: GrowthFormId, dunk: Application): Help[] {
  const target = { pest: pestOf(pestId), weights: pestId, form };
  const unpot = { kind: "mechanical", way: "unpot", tool: null, percent: null, spots: [...spotsOf(form)] } as const;
  const systemic = { kind: "systemic", remedy: "throughTheRoots", given: "" } as const;
  const all: Help[] = [
    { id: "dunk", does: dunk },
    { id: "unpot", does: { events: eventsOfAct({ ...unpot, spots: [...unpot.spots] }, target, 0) } },
    { id: "systemic", does: { events: eventsOfAct(systemic, target, 0) } },
  ];
  return all.filter(({ does }) => !("events" in does) || does.events.length > 0);
}
