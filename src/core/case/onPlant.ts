import type { Application } from "../acts/contact";
import { addDays, type Day } from "../climate/days";
import type { ActDone } from "../facts/facts";
import { standing } from "../facts/facts";
import { anyHome, isKeptOut } from "../household/household";
import type { ToolId } from "../inspection/tools";
import { mixes } from "../mixing/mixes";
import { potencyOf } from "../mixing/potency";
import { isKnownPest, type PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import { dosesOf, type Approach, type Dose } from "../planning/approaches";
import type { CompareRequest } from "../planning/compare";
import type { Course } from "../planning/course";
import { helpsFor } from "../planning/helps";
import { runsOn } from "../planning/resistance";
import type { SearchRequest } from "../planning/search";
import { MONTH_DAYS, washesOf } from "../planning/stress";
import { doesTo, spotsFor, type RemedyId } from "../remedies/remedies";
import type { Bearer } from "../suitability/bearer";
import { mixFor, monthlyWashes, refusals } from "../suitability/mixFor";
import { dunksGently, type Objection } from "../suitability/suitability";
import type { CaseCalendar } from "./calendar";

/** A remedy that does less than this of what its table says is not tried on a pest (HOUSE). */
const WORTHWHILE = 0.7;

/** What of a plant and its keeper bears on what is done next. Plain data. */
export interface OnPlant {
  readonly bearer: Bearer;
  /** The best the keeper has to search with. */
  readonly tool: ToolId;
  /** What was put on lately, in soap washes of the whole plant. */
  readonly washes: readonly { readonly on: Day; readonly washes: number }[];
}

/** What the plant has had to bear in the month before a day. */
export function washesOn(acts: readonly ActDone[], today: Day): OnPlant["washes"] {
  return standing(acts).flatMap(({ act, day: on }) =>
    act.kind === "contact" && on > addDays(today, -MONTH_DAYS) && on <= today
      ? [{ on, washes: washesOf({ remedy: mixes[act.mix].remedy, technique: act.technique }) }]
      : [],
  );
}

/** A dose as it will be put on this plant; the same dose always gives the same object. */
function applier(pest: PestId, form: GrowthFormId, { bearer, tool }: Pick<OnPlant, "bearer" | "tool">) {
  const known = new Map<string, Application>();
  return (dose: Dose): Application => {
    const mix = dose.mix ?? mixFor(dose.remedy, bearer);
    const key = `${mix} ${dose.technique}`;
    const on = { form, weights: pest, spots: spotsFor(dose.technique, form) };
    const made: Application = known.get(key) ?? {
      remedy: dose.remedy,
      technique: dose.technique,
      potency: potencyOf(mix),
      ...(dose.technique === "dab" && { tool }),
      on,
    };
    known.set(key, made);
    return made;
  };
}

/** What the plant and its keeper add to a request; nothing where the pest hides in no place that is known. */
export function requestOn(
  pestId: string,
  on: OnPlant | null,
  calendar: Pick<CaseCalendar, "of">,
): Pick<SearchRequest, "apply" | "stress"> {
  if (!on || !isKnownPest(pestId)) return {};
  const past = on.washes.map(({ on: day, washes }) => ({ day: calendar.of(day), washes }));
  return {
    apply: applier(pestId, on.bearer.form, on),
    stress: { perMonth: monthlyWashes(on.bearer), past },
  };
}

/** Why a plant does not bear an approach; empty where it may be used. Each reason once. */
export function refusedOn(approach: Approach, bearer: Bearer): readonly Objection["code"][] {
  const codes = dosesOf(approach).flatMap(({ remedy, technique }) => refusals(remedy, technique, bearer));
  return [...new Set(codes.map(({ code }) => code))];
}

/** Whether an approach does anything to speak of to a pest. */
export function isAgainst(approach: Approach, pestId: string): boolean {
  return dosesOf(approach).every(({ remedy }) => doesTo(remedy, pestId) >= WORTHWHILE);
}

/** What a comparison takes of the plant and its keeper. */
export function comparisonOn(
  pestId: string,
  on: OnPlant | null,
  courses: Readonly<Record<RemedyId, Course>>,
): Pick<CompareRequest, "mayUse" | "helps" | "withLoupe" | "gentle"> {
  const suits = (approach: Approach) => isAgainst(approach, pestId) && !runsOn(approach, courses);
  if (!on || !isKnownPest(pestId)) return { mayUse: suits };
  const { bearer, tool } = on;
  const dunk = applier(pestId, bearer.form, on)({ remedy: "soap", technique: "dunk" });
  const systemicKeptOut = isKeptOut("throughTheRoots", bearer.home ?? anyHome, bearer.sensitivities);
  const dunkRefused = refusals("soap", "dunk", bearer).length > 0;
  return {
    mayUse: (approach) => suits(approach) && refusedOn(approach, bearer).length === 0,
    gentle: (approach) => dunksGently(bearer) || dosesOf(approach).every(({ technique }) => technique !== "dunk"),
    helps: helpsFor(pestId, bearer.form, dunk).filter(
      ({ id }) => !(id === "dunk" && dunkRefused) && !(id === "systemic" && systemicKeptOut),
    ),
    ...(tool !== "loupe" && { withLoupe: applier(pestId, bearer.form, { bearer, tool: "loupe" }) }),
  };
}
