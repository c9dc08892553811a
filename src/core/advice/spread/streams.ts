import type { FounderStream } from "../../model/carriage/carriage";
import { backgroundPerDay, HANDLED_FOUNDERS, type NearnessId } from "../../model/carriage/rates";
import type { Stand } from "../../record/cases/stays";
import type { Plant } from "../../record/facts/descriptions";
import type { PestId } from "../../knowledge/pests/pests";
import { contactsOf, foundersByDay, type StoodAt } from "./contacts";
import type { Spread, TimedSource } from "./record";

/** A way in which a pest may have come to a plant. */
export interface Route {
  readonly kind: "arrival" | "mother" | "resident" | "remained" | "background" | "neighbour" | "handled" | "others";
  /** The plant it came from, and how near that stood; null where no single plant is meant. */
  readonly plantId: string | null;
  readonly code: string | null;
  readonly nearness: NearnessId | null;
}

/** Founders are reckoned in steps of half a day: against a quarter that changes a chance by less than a hundredth of itself. */
export const TIME_STEP_DAYS = 0.5;
/** So many single sources are told apart; the weaker ones are taken together. */
const SOURCES_TOLD_APART = 6;

/** The plant that founders may have come to, and where it has stood. */
interface Standing {
  readonly plant: Pick<Plant, "id">;
  readonly stands: readonly Stand[];
}

/** Founders that may have come by one way. */
export interface Stream {
  readonly route: Route;
  readonly stream: Omit<FounderStream, "route">;
}

export function backgroundOf(
  pest: PestId,
  stood: readonly StoodAt[],
  { tree }: Spread,
  begin: number,
  until: number,
): (Stream & { stream: FounderStream })[] {
  const first = Math.floor(begin);
  const perDay = new Float64Array(Math.max(0, Math.ceil(until) - first));
  for (const [i, stay] of stood.entries()) {
    // Before it was first put anywhere it is taken to have stood there already.
    const from = i === 0 ? Math.min(stay.from, begin) : stay.from;
    const rate = backgroundPerDay[pest] * tree.background(stay.placeId);
    for (let day = Math.max(first, Math.floor(from)); day < Math.min(until, stay.until); day++)
      perDay[day - first]! += rate * (Math.min(stay.until, day + 1) - Math.max(from, day));
  }
  const route = { kind: "background", plantId: null, code: null, nearness: null } as const;
  return [{ route, stream: { route: "background", fromDays: first, untilDays: until, perDay } }];
}

export function sourcesNear(
  { plant, stands }: Standing,
  pest: PestId,
  spread: Spread,
  stood: readonly StoodAt[],
  begin: number,
  until: number,
): (Stream & { stream: FounderStream })[] {
  const { tree, touching, passes } = spread;
  const [first, end] = [Math.floor(begin), Math.ceil(until)];
  const near = spread
    .sourcesOf(pest)
    .filter((source) => source.plantId !== plant.id)
    .map((source) => {
      const contacts = contactsOf(source.stood, stood, touching(source.plantId, plant.id), tree);
      const inTray = contacts.length > 0 && sharesTray(source, stands, tree);
      const given = foundersByDay(pest, contacts, source, first, end, inTray);
      return { source, ...given, perDay: given.perDay.map((founders) => passes * founders) };
    })
    .filter(({ total }) => total > 0)
    .toSorted((a, b) => b.total - a.total || (a.source.caseId < b.source.caseId ? -1 : 1));
  const apart = near.slice(0, SOURCES_TOLD_APART).map(({ source, perDay, nearest }) => ({
    route: { kind: "neighbour", plantId: source.plantId, code: source.code, nearness: nearest } as const,
    stream: { route: source.caseId, fromDays: first, untilDays: until, perDay },
  }));
  const rest = near.slice(SOURCES_TOLD_APART);
  if (rest.length === 0) return apart;
  const perDay = rest[0]!.perDay.map((_, day) => rest.reduce((sum, one) => sum + one.perDay[day]!, 0));
  const route = { kind: "others", plantId: null, code: null, nearness: null } as const;
  return [...apart, { route, stream: { route: "others", fromDays: first, untilDays: until, perDay } }];
}

function sharesTray({ stood }: TimedSource, stands: readonly Stand[], tree: Spread["tree"]): boolean {
  return stands.some(({ placeId }) =>
    stood.some((theirs) => theirs.placeId === placeId && tree.between(placeId, placeId)?.nearness === "tray"),
  );
}

export function handled(
  { plant }: Standing,
  pest: PestId,
  spread: Spread,
  begin: number,
  until: number,
): (Stream & { stream: FounderStream })[] {
  const sources = spread.sourcesOf(pest);
  return spread.handledAfter(plant.id).flatMap(({ sourceId, at }) => {
    const when = spread.clock(at);
    // Of several cases of the pest on it the one that ran then: sources stand in the order in which they began.
    const source = sources.findLast(({ plantId, openedAt }) => plantId === sourceId && openedAt <= when);
    if (!source || when < begin || when >= until) return [];
    const founders = spread.passes * HANDLED_FOUNDERS * Math.min(1, source.animalsOn(Math.floor(when)));
    const route = { kind: "handled", plantId: sourceId, code: source.code, nearness: null } as const;
    const stream = {
      route: source.caseId,
      fromDays: when,
      untilDays: when + TIME_STEP_DAYS,
      perDay: founders / TIME_STEP_DAYS,
    };
    return founders > 0 ? [{ route, stream }] : [];
  });
}
