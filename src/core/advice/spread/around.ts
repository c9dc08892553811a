import type { NearnessId } from "../../model/carriage/rates";
import { groupBy } from "../../shared/groupBy";
import type { PestId } from "../../knowledge/pests/pests";
import type { Blamed, PlantCarries } from "./carries";

/** Why a plant is looked at after a find. */
export type Why =
  { readonly kind: "near"; readonly nearness: NearnessId } | { readonly kind: "handled" | "seller" | "tray" };

/** A plant that a find bears on, as it is on record. */
export interface AroundPlant {
  readonly plantId: string;
  readonly carries: Pick<PlantCarries, "p" | "pests" | "routes"> | null;
  /** Whether it came from the same seller, and whether on the same day. */
  readonly sameSeller: boolean;
  readonly sameTray: boolean;
}

export interface AroundLine {
  readonly plantId: string;
  /** The chance that it carries the pest that was found. */
  readonly p: number;
  readonly why: readonly Why[];
}

/**
 * Who is looked at first after a find: the plants it bears on, by the chance that they carry that pest, each with why; those
 * of another room after all that stand nearer. Plants that only share the room, and hardly carry it, come last and only as far as `least`.
 */
export function whoFirst(pest: PestId, sourceId: string, plants: readonly AroundPlant[], least: number): AroundLine[] {
  return plants
    .map(({ plantId, carries, sameSeller, sameTray }): AroundLine => {
      const mine = (carries?.routes ?? []).filter((route) => route.plantId === sourceId && route.pest === pest);
      const why: Why[] = mine.flatMap(({ kind, nearness }): Why[] =>
        kind === "handled" ? [{ kind }] : nearness ? [{ kind: "near", nearness }] : [],
      );
      if (sameTray) why.push({ kind: "tray" });
      else if (sameSeller) why.push({ kind: "seller" });
      return { plantId, p: carries?.pests.find((one) => one.pest === pest)?.p ?? 0, why };
    })
    .filter(({ p, why }) => why.length > 0 && (p >= least || why.some((one) => one.kind !== "near")))
    .toSorted((a, b) => elsewhere(a) - elsewhere(b) || b.p - a.p || (a.plantId < b.plantId ? -1 : 1));
}

/** 1 for what only another room with an open door has to do with it: it comes after all that stand nearer. */
function elsewhere({ why }: AroundLine): number {
  return Number(why.every((one) => one.kind === "near" && one.nearness === "open"));
}

/** A source that has less of it than this does not stand out: it cannot be told (HOUSE). */
const TELLS_FROM = 0.5;

/** Where a find probably came from: its ways with their shares, and whether one of them stands out. */
export interface Origin {
  readonly routes: readonly Blamed[];
  /** Null where it cannot be told. */
  readonly likeliest: Blamed | null;
}

/**
 * The ways, likeliest first; those that name the same plant are taken together, under the likeliest of them: it is asked from whom it came.
 * @example originOf([]).told // null
 */
export function originOf(routes: readonly Blamed[]): Origin {
  const together = [...groupBy(routes, ({ plantId, kind, pest }) => `${pest} ${plantId ?? kind}`).values()]
    .map((some): Blamed => {
      const [most] = some.toSorted((a, b) => b.share - a.share);
      return { ...most!, share: some.reduce((sum, { share }) => sum + share, 0) };
    })
    .toSorted((a, b) => b.share - a.share);
  const likeliest = together[0];
  return { routes: together, likeliest: likeliest && likeliest.share >= TELLS_FROM ? likeliest : null };
}
