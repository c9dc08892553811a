import { z } from "zod";
import { workIds } from "../../../acts/workIds";
import { dayField, id } from "../../../shared/fields";
import { mixIds } from "../../../knowledge/mixes/mixes";
import { pestIds } from "../../../knowledge/pests/pests";
import { techniqueIds } from "../../../knowledge/remedies/remedies";
import { schools, type SchoolId } from "../../../knowledge/remedies/schools";
import { factKind } from "../kind";

const schoolIds = schools.map((school) => school.id) as [SchoolId, ...SchoolId[]];

/** Where the dates of a plan come from: reckoned by the application, a school's schedule, or the keeper's own. */
const basis = z.enum(["reckoned", "own", ...schoolIds]);
export type Basis = z.output<typeof basis>;

/** What a step is done with. */
const dose = z.union([
  z.object({ mix: z.enum(mixIds), technique: z.enum(techniqueIds) }),
  z.object({ work: z.enum(workIds) }),
]);
export type PlannedDose = z.output<typeof dose>;

/** More treatments than this belong to no plan. */
const MOST_STEPS = 24;

const dates = z
  .array(dayField)
  .min(1)
  .max(MOST_STEPS)
  .refine((all) => all.every((d, i) => i === 0 || all[i - 1]! <= d), { params: { code: "not_ascending" } });

export const adoptPlan = z
  .object({
    id,
    caseId: id,
    mix: z.enum(mixIds),
    technique: z.enum(techniqueIds),
    basis,
    dates,
    /** What the first date is done with, where that is another thing than the rest; null where it is not. */
    knockDown: dose.nullish(),
    /** What each date is done with, in their order, where that is not the same for all. */
    doses: z.array(dose).max(MOST_STEPS).optional(),
    /** It was made for another plant of the same find: of each remedy this one gets the mix that it bears. */
    asBorne: z.boolean().optional(),
  })
  .refine(({ dates, doses }) => !doses || doses.length === 0 || doses.length === dates.length, {
    path: ["dates"],
    params: { code: "unknown" },
  });
export type AdoptPlan = z.output<typeof adoptPlan>;

/** Dates against something without a name; its programme runs until it has one, or is none. */
export const adoptUnnamed = z
  .object({
    id,
    plantId: id,
    dates,
    /** What each date is done with, in their order. */
    doses: z.array(dose).min(1).max(MOST_STEPS),
  })
  .refine(({ dates, doses }) => doses.length === dates.length, { path: ["dates"], params: { code: "unknown" } });
export type AdoptUnnamed = z.output<typeof adoptUnnamed>;

const chance = z.number().min(0).max(1);

const step = z.object({
  id: z.string(),
  kind: z.enum(["treat", "look"]),
  dueOn: z.string(),
  /** What it is done with; null for a look. */
  dose: dose.nullable(),
});

/** The keeper has chosen steps with their dates: the plan of a case, or what is done against something without a name. */
export const programme = factKind({
  kind: "programme",
  table: "programmes",
  command: adoptPlan,
  own: z.object({
    programme: z.enum(["casePlan", "unnamed"]),
    plantId: z.string(),
    /** The case it was filed under, and that case's pest; null for what has no name. */
    caseId: z.string().nullable(),
    pest: z.enum(pestIds).nullable(),
    basis,
    /** What it promised when it was adopted, reckoned then; null for what could not be scored: that it is over without any look, that
     * the looks after it are clean, and how sure they then make it. */
    pOver: chance.nullable(),
    pClean: chance.nullable().default(null),
    sure: chance.nullable().default(null),
    steps: z.array(step),
  }),
  columns: {
    programme: "text",
    plantId: "uuid",
    caseId: "uuid",
    pest: "text",
    basis: "text",
    pOver: "number",
    pClean: "number",
    sure: "number",
  },
  parts: {
    steps: {
      table: "programme_steps",
      of: "programmeId",
      columns: { kind: "text", dueOn: "day", dose: "json" },
      order: ["dueOn", "kind"],
    },
  },
  shownOn: ["plant", "case"],
});
