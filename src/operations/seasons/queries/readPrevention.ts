import type { Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import type { Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { biocontrolDue, type GuestsDue } from "@/core/advice/seasons/biocontrol";
import {
  sparedFrom,
  worthsAmong,
  type RoundMixId,
  type RoundPlant,
  type RoundWorth,
} from "@/core/advice/seasons/prevention";
import { ofKind } from "@/core/advice/seasons/running";
import { inParallel } from "@/db/query";
import * as places from "@/db/stores/places/places";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, today, type Context } from "../../shared/context";
import { around, programmesNow } from "../roomOnRecord";
import { ROUND_TECHNIQUE } from "../roundPlants";
import { readRounds, takenBy, type RoundsView } from "../../walks/queries/readRounds";

export interface GuestsView {
  readonly placeId: string;
  readonly placeName: string;
  readonly chosen: Chosen<"guests">;
  readonly due: GuestsDue;
  /** Plants there that a running round of prevention would spray. */
  readonly wouldSpray: readonly string[];
}

export interface PreventionView {
  readonly day: Day;
  /** What one round of a mix would be worth now: for everyone, and for the prone kinds alone. Of thousands of plants that takes a while. */
  readonly worthOf: (mix: RoundMixId) => { readonly all: RoundWorth; readonly prone: RoundWorth };
  readonly rounds: readonly RoundsView[];
  readonly guests: readonly GuestsView[];
}

/** What rounds and predators are begun with. */
export interface PreventionChoices {
  /** The programmes of rounds that run, each of its place, or of the whole collection. */
  readonly running: readonly { readonly placeId: string | null; readonly chosen: Chosen<"prevention"> }[];
  readonly places: readonly { readonly id: string; readonly name: string; readonly cabinet: boolean }[];
}

/** What there is to begin prevention with: no plant is read for it. */
export async function readPreventionChoices(context: Context): Promise<PreventionChoices> {
  const scope = scopeOf(context, "read");
  const [all, running] = await inParallel(
    scope,
    () => places.all(scope),
    () => programmesNow(scope),
  );
  return {
    running: ofKind(running, "prevention").map(({ placeId, chosen }) => ({ placeId, chosen })),
    places: all
      .filter(({ kind }) => kind !== "bag" && kind !== "isolation")
      .map(({ id, name, kind }) => ({ id, name, cabinet: kind === "cabinet" })),
  };
}

/** Rounds of prevention: what one is worth, what is due of those chosen, whom they spare; and predators let loose before anything is found. */
export async function readPrevention(context: Context): Promise<PreventionView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const { rounds, all, places: allPlaces, running } = await readRounds(context);
  const programmes = ofKind(running, "prevention");
  const guests: GuestsView[] = [];
  for (const { placeId, chosen, begunOn } of ofKind(running, "guests")) {
    const { within, outside } = around(allPlaces, placeId!);
    const there = all.filter(({ row }) => within.has(row.placeId));
    const ids = new Set(there.map(({ row }) => row.id));
    const onPlants = await facts.of(scope, "act", "plantId", [...ids]);
    const acts = standing([...onPlants, ...(await facts.of(scope, "act", "placeId", [...within, ...outside]))]);
    const sprayed = programmes.flatMap((one) =>
      takenBy(one, { all: there, places: allPlaces }).filter(
        ({ plant }) => sparedFrom({ ...plant, bearer: withoutHelpers(plant) }, one.chosen) === null,
      ),
    );
    guests.push({
      ...{ placeId: placeId!, placeName: allPlaces.find(({ id }) => id === placeId)?.name ?? "", chosen },
      due: biocontrolDue(chosen.predator, chosen.everyDays, begunOn, acts, day),
      wouldSpray: [...new Set(sprayed.map(({ row }) => row.code))],
    });
  }
  return { day, rounds, guests, worthOf: worthOfMixes(all) };
}

/** What rounds of each mix are worth; nothing is weighed before the first is asked for. */
function worthOfMixes(all: readonly { readonly plant: RoundPlant }[]): PreventionView["worthOf"] {
  let worthOf: ReturnType<typeof worthsAmong> | null = null;
  return (mix) => (worthOf ??= worthsAmong(all.map(({ plant }) => plant)))({ mix, technique: ROUND_TECHNIQUE });
}

/** A plant as a round would see it if nobody lived on it. */
function withoutHelpers({ bearer }: RoundPlant): RoundPlant["bearer"] {
  const { helpers: _helpers, ...rest } = bearer;
  return rest;
}
