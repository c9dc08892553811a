import { addDays, type Day } from "@/core/shared/days";
import { coldestOffered, moveBefore } from "@/core/advice/seasons/wintering";
import { inParallel } from "@/db/query";
import * as climate from "@/db/stores/climate/climate";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { around } from "../roomOnRecord";
import { winteringNow, type Wintering } from "../winteringNow";

export interface WinteringView {
  readonly day: Day;
  /** Places out of doors, and places that they could come into. */
  readonly outdoors: readonly { readonly id: string; readonly name: string; readonly plants: number }[];
  readonly indoors: readonly {
    readonly id: string;
    readonly name: string;
    readonly roomFor: number | null;
    readonly plants: number;
  }[];
  /** The day of the year on which nights there were too cold last year, by the coldest night that is borne; empty where nothing was measured. */
  readonly coldNights: readonly { readonly coldestC: number; readonly day: Day }[];
  /** What runs, each out of its own place. */
  readonly programmes: readonly Wintering[];
}

/** Nights of so many days tell when it was cold a year ago. */
const BEFORE_DAYS = 400;

/** What runs of wintering, and what there is to begin one with. */
export async function readWintering(context: Context): Promise<WinteringView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const { places, outdoorRoots, outside, programmes } = await winteringNow(context, scope);
  const [nights, counted] = await inParallel(
    scope,
    () => climate.daysFrom(scope, addDays(day, -BEFORE_DAYS), [...outside]),
    () => plantStates.countByPlace(scope),
  );
  const counts = new Map(counted.map(({ placeId, plants }) => [placeId, plants]));
  const count = (placeId: string) => {
    const { within } = around(places, placeId);
    return [...within].reduce((sum, id) => sum + (counts.get(id) ?? 0), 0);
  };
  return {
    day,
    programmes,
    outdoors: outdoorRoots.map(({ id, name }) => ({ id, name, plants: count(id) })),
    indoors: places
      .filter(({ id, kind }) => !outside.has(id) && kind !== "bag" && kind !== "tray")
      .map(({ id, name, roomFor }) => ({
        id,
        name,
        roomFor,
        plants: counts.get(id) ?? 0,
      })),
    coldNights: coldestOffered.flatMap((coldestC) => {
      const move = moveBefore(nights, coldestC, day);
      return move ? [{ coldestC, day: move }] : [];
    }),
  };
}
