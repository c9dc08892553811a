import type { VoidableFact } from "@/core/facts/deeds";
import type { Case, Closing, Look, Placement, Plan, Skip, Treatment } from "@/core/facts/records";
import type { Day } from "@/core/climate/days";
import type { SignId } from "@/core/diagnosis/signs";
import { millilitres } from "@/wording/amounts";
import {
  mixNames,
  outcomeNames,
  pestNames,
  schoolNames,
  severityNames,
  stageNames,
  spotNames,
  techniqueNames,
  toolNames,
} from "@/wording/names";
import { signNames } from "@/wording/signs";
import { skipReasonNames } from "@/wording/walks";

/** One line of a record, ready to be shown. */
export interface RecordEntry {
  readonly kind: VoidableFact;
  readonly id: string;
  readonly at: number;
  readonly day: Day;
  readonly what: string;
  readonly details: readonly string[];
  readonly voidReason: string | null;
}

interface Facts {
  readonly placements: readonly Placement[];
  readonly looks: readonly Look[];
  readonly treatments: readonly Treatment[];
  readonly plans: readonly Plan[];
  readonly closings: readonly Closing[];
  readonly cases: readonly Case[];
  readonly skips?: readonly Skip[];
}

type Told = readonly [what: string, ...details: string[]];

/** The facts of a plant or a case as entries, newest first. */
export function recordEntries(facts: Facts): RecordEntry[] {
  const pestOfCase = (caseId: string) => pestNames[facts.cases.find((c) => c.id === caseId)?.pest ?? "mealybug"];
  const entries = [
    ...facts.placements.map((p) => entry("placement", p, [`Placed: ${p.placeName}`])),
    ...(facts.skips ?? []).map((skip) =>
      entry("skip", skip, [`Left out on a walk: ${skipReasonNames[skip.reason].toLowerCase()}`]),
    ),
    ...facts.looks.map((look) => entry("look", look, tellLook(look))),
    ...facts.treatments.map((t) =>
      entry("treatment", t, [
        `Treated: ${mixNames[t.mix]}`,
        `${techniqueNames[t.technique]}, ${millilitres(t.volumeMl)}, against ${pestOfCase(t.caseId).toLowerCase()}`,
        t.note,
      ]),
    ),
    ...facts.plans.map((plan) => entry("plan", { ...plan, at: plan.adoptedAt, day: plan.adoptedOn }, tellPlan(plan))),
    ...facts.closings.map((c) =>
      entry("closing", c, [
        `Case closed: ${pestOfCase(c.caseId).toLowerCase()}, ${outcomeNames[c.outcome].toLowerCase()}`,
        c.note,
      ]),
    ),
  ];
  // Most facts are told to the minute. Ids begin with the time at which they were made: of two facts of one minute the one
  // written down last stands first.
  return entries.toSorted((a, b) => minuteOf(b) - minuteOf(a) || b.id.localeCompare(a.id));
}

const minuteOf = (entry: RecordEntry) => Math.floor(entry.at / 60_000);

function entry(
  kind: VoidableFact,
  fact: { id: string; at: Date; day: Day; voidReason: string | null },
  [what, ...details]: Told,
): RecordEntry {
  const { id, at, day, voidReason } = fact;
  return { kind, id, at: at.getTime(), day, what, details: details.filter(Boolean), voidReason };
}

function tellLook(look: Look): Told {
  const found = look.finds.map((find) => {
    const number = find.count === null ? severityNames[find.severity].toLowerCase() : `${find.count} live`;
    const stages = find.stages.map((stage) => `, ${stageNames[stage]}`).join("");
    const spots = find.spots.length > 0 ? `, on ${places(find.spots)}` : "";
    return `${pestNames[find.pest]}, ${number}${stages}${spots}${find.removed ? ", killed on the spot" : ""}`;
  });
  const side = look.turned ? "" : "; one side only";
  const where = `${toolNames[look.tool]}: ${places(look.spots)}${side}`;
  return [
    found.length > 0 ? `Found: ${found.join("; ")}` : "Looked: nothing found",
    where,
    tellNaming(look),
    look.note,
  ];
}

const places = (spots: Look["spots"]) => spots.map((spot) => spotNames[spot].toLowerCase()).join("; ");

function tellNaming({ naming }: Look): string {
  if (!naming) return "";
  // Without a sign looked for, nothing spoke for anything.
  if (naming.present.length + naming.absent.length === 0) return "Named by you";
  const spokeFor = naming.likeliest ? pestNames[naming.likeliest].toLowerCase() : "none of these";
  const told = (what: string, signs: readonly SignId[]) =>
    signs.length > 0 ? [`${what}: ${signs.map((sign) => signNames[sign]).join("; ")}`] : [];
  const who = naming.by === "keeper" ? `Named by you; the signs spoke for ${spokeFor}` : "Named by its signs";
  return [who, ...told("There", naming.present), ...told("Not there", naming.absent)].join(". ");
}

function tellPlan(plan: Plan): Told {
  const treatments = plan.steps.filter((step) => step.kind === "treat").length;
  return [`Plan: ${mixNames[plan.mix]}, ${treatments} ${treatments === 1 ? "time" : "times"}`, schoolNames[plan.basis]];
}
