import { applicationEvents } from "../../acts/contact";
import { ln } from "../../shared/exponential";
import { phaseOf, type Pest } from "../../knowledge/pests/pests";
import type { TreatmentEvent } from "../../model/population/events";
import type { PerSite } from "../../model/population/sites";
import type { KillRange } from "../../knowledge/remedies/remedies";
import type { ComingAct, ComingDose } from "./future";
import type { Scorer } from "./score";

/** Why something may be left after a plan: animals missed each time where the hand went, stages that the remedy does not kill, deep
 * places where nothing comes, and spots where the hand did not go. */
export const causes = ["missed", "outOfReach", "deep", "untreated"] as const;
export type Cause = (typeof causes)[number];

/** How much of what may be left each cause is to blame for, the greatest first; they sum to 1. Empty where nothing may be left. */
export type Blame = readonly { readonly cause: Cause; readonly share: number }[];

/**
 * Blames what may be left at the end of a plan on its causes: by how much the risk, −ln P(over), falls when that cause alone is
 * taken away. `doses` are the plan's treatments, ascending; `atDays` is when it is scored.
 * Source: our own way of telling (HOUSE); the risks are those of the model.
 */
export function blame(scorer: Scorer, doses: readonly ComingDose[], atDays: number): Blame {
  const { pest } = scorer.reckoning.timeline.layout;
  const risk = (p: number) => -ln(Math.max(p, 1e-12));
  const base = risk(scorer.pOverAt(doses, atDays));
  const known = new Map<ComingDose["dose"], ComingAct>();
  const without = (cause: Cause) => {
    known.clear();
    return doses.map(({ atDays: at, dose }) => {
      const there = known.get(dose) ?? { events: actWithout(pest, dose, cause) };
      known.set(dose, there);
      return { atDays: at, dose: there };
    });
  };
  const gains = causes.map((cause) => ({
    cause,
    gain: Math.max(0, base - risk(scorer.pOverAt(without(cause), atDays))),
  }));
  const all = gains.reduce((sum, { gain }) => sum + gain, 0);
  if (!(all > 0)) return [];
  return gains.map(({ cause, gain }) => ({ cause, share: gain / all })).toSorted((a, b) => b.share - a.share);
}

/** A dose as it would act were a cause of survival taken away. */
function actWithout(pest: Pest, dose: ComingDose["dose"], cause: Cause): ComingAct["events"] {
  const events = "events" in dose ? dose.events : applicationEvents(pest, dose, 0);
  return events.map((event) => (event.kind === "treatment" ? changed(pest, event, cause) : event));
}

function changed(pest: Pest, event: TreatmentEvent, cause: Cause): TreatmentEvent {
  const reach = (change: (sites: PerSite) => PerSite): Pick<TreatmentEvent, "reach" | "touch"> => ({
    reach: Object.fromEntries(Object.entries(event.reach).map(([where, sites]) => [where, change(sites)])),
    ...(event.touch && { touch: event.touch.map(change) }),
  });
  switch (cause) {
    case "deep":
      return { ...event, ...reach(([open, sheltered, deep]) => [open, sheltered, Math.max(sheltered, deep)]) };
    case "missed":
      return { ...event, ...reach(([open, sheltered, deep]) => [open > 0 ? 1 : 0, sheltered > 0 ? 1 : 0, deep]) };
    case "untreated": {
      const { cover: _cover, ...everywhere } = event;
      return everywhere;
    }
    case "outOfReach": {
      const best = event.kill.reduce((most, kill) => (kill.likely > most.likely ? kill : most));
      // Every stage dies like the one that dies best, and is met like those on the leaves.
      const kill = pest.stages.map((stage, i): KillRange => {
        const own = event.kill[i]!;
        return phaseOf(stage) === "egg" || own.likely === 0 ? best : own;
      });
      const there = Object.values(event.reach)[0];
      const met = there ? Object.fromEntries(pest.stages.map(({ where }) => [where, event.reach[where] ?? there])) : {};
      const most = event.touch?.reduce((a, b) => (b[0] > a[0] ? b : a));
      const touch = most && event.touch!.map((sites) => (sites[0] + sites[1] === 0 ? most : sites));
      return { ...event, kill, reach: met, ...(touch && { touch }) };
    }
  }
}
