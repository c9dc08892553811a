import type { Act } from "@/core/acts/acts";
import { workIds, type WorkId } from "@/core/acts/workIds";
import type { Day } from "@/core/shared/days";
import type { ToolId } from "@/core/model/inspection/tools";
import { winterStepIds, type WinterStepId } from "@/core/advice/seasons/wintering";
import { doseOf, nextTreatment, planInForce } from "@/core/advice/plans/plans";
import { placesInRecord } from "@/core/record/cases/record";
import { byCode } from "@/core/knowledge/plants/codes";
import { idIn } from "@/core/shared/fields";
import { groupBy } from "@/core/shared/groupBy";
import { isKnownPest, type PestId } from "@/core/knowledge/pests/pests";
import { usualTool } from "@/core/record/facts/settings";
import type { Paces } from "@/core/advice/sessions/pace";
import {
  isForGroup,
  lineOf,
  lookLine,
  type SessionLine,
  type SessionPlant,
  type SessionStep,
} from "@/core/advice/sessions/session";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { mixIds, type MixId } from "@/core/knowledge/mixes/mixes";
import { isWork } from "@/core/advice/planning/doses";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { inParallel } from "@/db/query";
import * as cases from "@/db/stores/cases";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import * as walks from "@/db/stores/walks";
import { scopeOf, today, type Context } from "../../shared/context";
import { bearerOn } from "../../plants/onPlant";
import { ownPaces } from "../ownPaces";
import { cardOf } from "../../plants/plantCard";
import { recordsOf, type KeptRecord } from "../../plants/plantRecords";
import type { TreatmentLine } from "../../cases/treatmentLines";
import { readEvening } from "./readEvening";
import { readRounds, type RoundLine } from "../../walks/queries/readRounds";
import { winteringNow, type WinterLine } from "../../seasons/winteringNow";

/** Groups for which it is known what is done: what plans ask for, of one mix or work or of all; of a way in for winter out of a place those of tonight, all that are left, and those whose turn to be sprayed again has come; of a round of prevention those of tonight. */
export const givenGroups = ["due", "winter", "winterAll", "winterAgain", "round"] as const;
export type GivenGroup = (typeof givenGroups)[number];

/** Which plants a session is for. */
export type GroupAsked =
  | { readonly who: "place" | "walk"; readonly id: string }
  | { readonly who: "pest"; readonly pest: PestId }
  | { readonly who: "atRisk" | "apart" }
  | { readonly who: GivenGroup; readonly id: string };

export interface GroupPlant extends SessionPlant {
  readonly card: PlantCard;
  readonly placeId: string;
  readonly placeName: string;
  /** Minutes of hands that all of its steps take, where its programme has reckoned them; null elsewhere. */
  readonly minutes: number | null;
  /** What a session may have written of it already: today, or since the programme that asks for it began. */
  readonly lately: { readonly acts: readonly { readonly id: string; readonly act: Act }[]; readonly looked: boolean };
}

/** What is due of one mix or one work. */
export type DueStepId = `due ${MixId | WorkId}`;

/** A step for which it is known what is done. */
export type GivenStepId = WinterStepId | "round" | DueStepId;

export interface GroupView {
  readonly plants: readonly GroupPlant[];
  /** What is done to them, where that is known; null where the keeper chooses. */
  readonly steps: readonly SessionStep<GivenStepId>[] | null;
  /** How many there are in all, where that is more than are read. */
  readonly all: number;
  readonly places: readonly { readonly id: string; readonly name: string; readonly plants: number }[];
  /** How fast the keepers' own hands are. */
  readonly paces: Paces;
  readonly pests: readonly { readonly pest: PestId; readonly plants: number }[];
}

/** A session has so many plants at most. */
const MOST = 200;
/** In the place of an id: the whole collection. */
const ALL = "all";

/** Reads what an address asks for; null for nothing. */
export function groupAsked(who: unknown, id: unknown): GroupAsked | null {
  if (who === "atRisk" || who === "apart") return { who };
  const given = givenGroups.find((one) => one === who);
  if (given === "due" && isTreatment(id)) return { who: given, id };
  if (given) return typeof id === "string" && (id === ALL || idIn(id)) ? { who: given, id } : null;
  if (who === "pest" && typeof id === "string" && isKnownPest(id)) return { who, pest: id };
  const own = (who === "place" || who === "walk") && typeof id === "string" ? idIn(id) : null;
  return own ? { who: who as "place" | "walk", id: own } : null;
}

/** The plants of a session with all that bears on what is done to them, and the groups that may be chosen. */
export async function readGroup(context: Context, asked: GroupAsked | null): Promise<GroupView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const given = asked && isGiven(asked) ? await givenIn(context, asked) : null;
  const [listed, open, all] = await inParallel(
    scope,
    () => plantStates.list(scope),
    () => cases.open(scope),
    () => places.all(scope),
  );
  const walked = new Set(asked?.who === "walk" ? await walks.memberIds(scope, asked.id) : []);
  const { isWithin } = placesInRecord(all);
  const infested = groupBy(open, ({ pest }) => pest);
  const belongs = (row: plantStates.ListedPlant): boolean => {
    switch (asked?.who) {
      case "place":
        return isWithin(row.placeId, asked.id);
      case "walk":
        return walked.has(row.id);
      case "pest":
        return infested.get(asked.pest)?.some(({ plantId }) => plantId === row.id) ?? false;
      case "atRisk":
        return row.state === "atRisk";
      case "apart":
        return row.apart;
      case "due":
      case "winter":
      case "winterAll":
      case "winterAgain":
      case "round":
        return given!.asks.has(row.id);
      case undefined:
        return false;
    }
  };
  const order = given && [...given.asks.keys()];
  const chosen = listed
    .filter(belongs)
    .toSorted((a, b) => (asked?.who === "due" ? order!.indexOf(a.id) - order!.indexOf(b.id) : byCode(a.code, b.code)));
  const taken = chosen.slice(0, MOST);
  const ids = taken.map(({ id }) => id);
  const { records } = ids.length > 0 ? await recordsOf(scope, ids) : { records: [] };
  const standing = [...groupBy(listed, ({ placeId }) => placeId)].map(
    ([placeId, there]) => [placeId, there.length] as const,
  );
  const byId = new Map(records.map((record) => [record.plant.id, record]));
  const names = new Map(all.map(({ id, name }) => [id, name]));
  const plants = taken.flatMap((row): GroupPlant[] => {
    const record = byId.get(row.id);
    if (!record) return [];
    return [
      {
        ...{ plantId: row.id, code: row.code, bearer: bearerOn(context, record, day), card: cardOf(row, day) },
        cases: openCasesOf(record, day),
        ...{ placeId: row.placeId, placeName: names.get(row.placeId) ?? "" },
        minutes: given?.asks.get(row.id)?.minutes ?? null,
        lately: latelyOf(record, given?.since ?? day),
      },
    ];
  });
  return {
    plants,
    paces: plants.length > 0 ? await ownPaces(scope) : {},
    steps: given && stepsOf(plants, given, usualTool(context.collection.owns)),
    all: chosen.length,
    places: all
      .map(({ id, name }) => ({
        ...{ id, name },
        plants: standing.reduce((sum, [placeId, n]) => sum + (isWithin(placeId, id) ? n : 0), 0),
      }))
      .filter(({ plants }) => plants > 0),
    pests: [...infested].map(([pest, some]) => ({ pest, plants: new Set(some.map(({ plantId }) => plantId)).size })),
  };
}

const isGiven = (asked: GroupAsked): asked is Extract<GroupAsked, { who: GivenGroup }> =>
  givenGroups.some((one) => one === asked.who);

interface Asks {
  readonly work: readonly {
    readonly step: GivenStepId;
    readonly act: Act | null;
    /** The step of a plan that it is; left out where nothing is planned. */
    readonly planned?: Pick<SessionLine, "caseId" | "stepId" | "label">;
  }[];
  readonly minutes: number | null;
}

/** What a programme asks of plants, step by step, and since when what is on record counts for it. */
interface Given {
  readonly since: Day;
  readonly asks: ReadonlyMap<string, Asks>;
}

async function givenIn(context: Context, { who, id }: Extract<GroupAsked, { who: GivenGroup }>): Promise<Given> {
  const day = today(context);
  if (who === "due") return { since: day, asks: dueAsks((await readEvening(context)).lines, id) };
  if (who === "round") {
    const { rounds } = await readRounds(context);
    const tonight = rounds.find(({ placeId }) => (placeId ?? ALL) === id)?.tonight ?? [];
    const asksOf = ({ plant, act }: RoundLine): [string, Asks] => [
      plant.id,
      { work: [{ step: "round", act }], minutes: null },
    ];
    return { since: day, asks: new Map(tonight.map(asksOf)) };
  }
  const programme = (await winteringNow(context, scopeOf(context, "read"))).programmes.find(
    ({ placeId }) => placeId === id,
  );
  if (!programme) return { since: day, asks: new Map() };
  const { tonight, open, begunToday, again, inside } = programme;
  if (who === "winterAgain") {
    const due = [...again, ...inside].filter(({ on }) => on <= day).map(({ line }) => line);
    const asksOf = ({ plant, work }: WinterLine): [string, Asks] => [
      plant.id,
      { work: work.filter(({ step }) => step === "spray" || step === "sponge"), minutes: null },
    ];
    return { since: day, asks: new Map(due.map(asksOf)) };
  }
  const lines = [...(who === "winter" ? tonight : open), ...begunToday];
  return {
    since: programme.beginsOn,
    asks: new Map(lines.map(({ plant, work, minutes }) => [plant.id, { work, minutes }])),
  };
}

/** What is due by today of a mix or a work, or of all of them, where one press may write it down for many. */
function dueAsks(lines: readonly TreatmentLine[], id: string): Given["asks"] {
  const due = lines.filter(({ planned, daysLate }) => {
    return daysLate >= 0 && isForGroup(planned) && (id === ALL || treatmentOf(planned) === id);
  });
  return new Map(
    [...groupBy(due, ({ plant }) => plant.id)].map(([plantId, own]): [string, Asks] => {
      const work = own.map(({ planned, act, caseId, stepId, label }) => {
        const step = `due ${treatmentOf(planned)}` as const;
        return { step, act, planned: { caseId, stepId, label } };
      });
      // One spray meets whatever sits there: of two finds that ask for the same the first is carried out.
      const once = work.filter(({ step }, i) => work.findIndex((one) => one.step === step) === i);
      return [plantId, { work: once, minutes: null }];
    }),
  );
}

const treatmentOf = (planned: PlannedDose): MixId | WorkId => (isWork(planned) ? planned.work : planned.mix);
const dueStepIds = [...mixIds, ...workIds].map((what): DueStepId => `due ${what}`);
const isTreatment = (id: unknown): id is MixId | WorkId => [...mixIds, ...workIds].some((one) => one === id);

/** The steps in the order in which they are done, each with the plants that have it. Cutting is for those that need it. */
function stepsOf(plants: readonly GroupPlant[], { asks }: Given, tool: ToolId): readonly SessionStep<GivenStepId>[] {
  const steps = [...winterStepIds, "round" as const, ...dueStepIds].map((id): SessionStep<GivenStepId> => {
    const lines = plants.flatMap((plant) =>
      (asks.get(plant.plantId)?.work ?? [])
        .filter(({ step }) => step === id)
        .map(({ act, planned }) => (act ? { ...lineOf(plant, act), ...planned } : lookLine(plant, tool))),
    );
    return { id, lines, ...(id === "prune" && { optional: true }) };
  });
  return steps.filter(({ lines }) => lines.length > 0);
}

function openCasesOf(record: KeptRecord, day: Day): SessionPlant["cases"] {
  return record.cases.flatMap((found) => {
    if (!found.open) return [];
    const plan = planInForce(found, record.cases, record);
    const next = plan && nextTreatment(plan);
    const due = next?.dose && next.dueOn <= day ? { stepId: next.id, dose: doseOf(next.dose) } : null;
    return [{ caseId: found.id, pest: found.pest, due }];
  });
}

function latelyOf({ acts, looks, plant }: KeptRecord, since: Day): GroupPlant["lately"] {
  const theirs = <T extends { readonly plantId: string | null; readonly day: Day; readonly voidReason: string | null }>(
    all: readonly T[],
  ) => all.filter((one) => one.voidReason === null && one.plantId === plant.id && one.day >= since);
  return { acts: theirs(acts).map(({ id, act }) => ({ id, act })), looked: theirs(looks).length > 0 };
}
