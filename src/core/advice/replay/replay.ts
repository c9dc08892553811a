import { addDays, daysBetween, type Day } from "../../shared/days";
import type { PestId } from "../../knowledge/pests/pests";
import type { PlantState } from "../../knowledge/plants/states";
import type { Route } from "../spread/streams";

/** A span of days; `until` is the first day after it, null where it goes on. */
export interface Span {
  readonly from: Day;
  readonly until: Day | null;
}

export interface ReplayPlant {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  /** Where it has stood, in order. */
  readonly stays: readonly (Span & { readonly placeId: string })[];
  readonly cases: readonly (Span & { readonly caseId: string; readonly pest: PestId })[];
  /** The days on which it was treated. */
  readonly treated: readonly Day[];
}

/** The way on which a find probably came. */
export interface ReplayWay {
  readonly caseId: string;
  readonly plantId: string;
  readonly kind: Route["kind"];
  /** The plant it came from; null where no single plant is meant. */
  readonly fromId: string | null;
  /** How likely that way is among all, 0–1. */
  readonly share: number;
}

/** What happened on the shelves, ready to be played. Plain data. */
export interface Replay {
  readonly first: Day;
  readonly last: Day;
  /** In the order in which they are shown. */
  readonly places: readonly { readonly id: string; readonly name: string; readonly apart: boolean }[];
  readonly plants: readonly ReplayPlant[];
  readonly ways: readonly ReplayWay[];
}

/** A plant as it stood on a day. */
export interface OnStage {
  readonly plant: ReplayPlant;
  readonly state: Extract<PlantState, "clear" | "atRisk" | "infested">;
  readonly apart: boolean;
  /** Whether it was treated on the day or within two days before. */
  readonly treated: boolean;
}

/** A day of a replay. */
export interface Scene {
  readonly rows: readonly { readonly placeId: string; readonly plants: readonly OnStage[] }[];
  /** The ways of what was found within two weeks before, as far as they lead from a plant that stands there. */
  readonly ways: readonly (ReplayWay & { readonly fromId: string })[];
}

/** Something that happened, in the order of days. */
export interface Happening {
  readonly day: Day;
  readonly what: "found" | "ended" | "treated" | "moved";
  readonly plantId: string;
  /** Null for what is of no pest. */
  readonly pest: PestId | null;
  readonly caseId: string | null;
  /** Where it came to stand; null for what is no move. */
  readonly placeId: string | null;
}

const TREATED_DAYS = 2;
const WAY_DAYS = 14;

const isIn = ({ from, until }: Span, day: Day) => from <= day && (until === null || day < until);

/**
 * How it stood on a day: infested while a case runs, at risk while one runs on another plant of the same place, clear otherwise; what had
 * not come yet, or was gone, stands nowhere. Days outside the replay give what held at its end.
 */
export function sceneOn({ places, plants, ways }: Replay, day: Day): Scene {
  const standing = plants.flatMap((plant) => {
    const placeId = plant.stays.find((stay) => isIn(stay, day))?.placeId;
    return placeId === undefined ? [] : [{ plant, placeId, infested: plant.cases.some((one) => isIn(one, day)) }];
  });
  const infestedAt = new Set(standing.filter(({ infested }) => infested).map(({ placeId }) => placeId));
  const rows = places.map(({ id, apart }) => ({
    placeId: id,
    plants: standing
      .filter(({ placeId }) => placeId === id)
      .map(({ plant, infested }): OnStage => {
        const state = infested ? "infested" : infestedAt.has(id) ? "atRisk" : "clear";
        const treated = plant.treated.some((on) => on <= day && daysBetween(on, day) <= TREATED_DAYS);
        return { plant, state, apart, treated };
      }),
  }));
  const there = new Set(standing.map(({ plant }) => plant.id));
  const foundOn = new Map(plants.flatMap((plant) => plant.cases.map(({ caseId, from }) => [caseId, from])));
  return {
    rows,
    ways: ways.flatMap((way) => {
      const on = foundOn.get(way.caseId);
      const shown = on !== undefined && on <= day && daysBetween(on, day) < WAY_DAYS;
      return shown && way.fromId !== null && there.has(way.fromId) ? [{ ...way, fromId: way.fromId }] : [];
    }),
  };
}

/** Everything that happened within a replay, oldest first; the first place of a plant is no move. @example happeningsOf(replay)[0].what // "found" */
export function happeningsOf({ first, last, plants }: Replay): readonly Happening[] {
  const nothing = { pest: null, caseId: null, placeId: null };
  return plants
    .flatMap(({ id: plantId, stays, cases, treated }): Happening[] => [
      ...cases.flatMap(({ from, until, pest, caseId }): Happening[] => [
        { day: from, what: "found", plantId, pest, caseId, placeId: null },
        ...(until ? [{ day: until, what: "ended" as const, plantId, pest, caseId, placeId: null }] : []),
      ]),
      ...treated.map((day): Happening => ({ ...nothing, day, what: "treated", plantId })),
      ...stays
        .slice(1)
        .map(({ from, placeId }): Happening => ({ ...nothing, day: from, what: "moved", plantId, placeId })),
    ])
    .filter(({ day }) => day >= first && day <= last)
    .toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/** The days of a replay in order, its first and its last among them. @example daysOf({ first: day("2026-01-01"), last: day("2026-01-02") }).length // 2 */
export function daysOf({ first, last }: Pick<Replay, "first" | "last">): readonly Day[] {
  return Array.from({ length: Math.max(1, daysBetween(first, last) + 1) }, (_, i) => addDays(first, i));
}
