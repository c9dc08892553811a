import { daysBetween, type Day } from "@/core/shared/days";
import type { Act } from "@/core/acts/acts";
import type { Place } from "@/core/record/facts/descriptions";
import type { Chosen } from "@/core/record/facts/kinds/roomProgramme";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import { mixes, mixesWith } from "@/core/knowledge/mixes/mixes";
import { spotsFor } from "@/core/knowledge/remedies/remedies";
import { inBatches } from "@/core/advice/seasons/batches";
import { inSeason, isProne, mixOn, nextRound, sparedFrom, type Spared } from "@/core/advice/seasons/prevention";
import { ofKind, type Running } from "@/core/advice/seasons/running";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { objections, type Objection } from "@/core/advice/tolerance/suitability";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { cardOf } from "../../plants/plantCard";
import { around, programmesNow } from "../../seasons/roomOnRecord";
import { roundPlants, type InRounds } from "../../seasons/roundPlants";

/** A plant of a round, with what is put on. */
export interface RoundLine {
  readonly plant: PlantCard;
  readonly act: Act;
  readonly minutes: number;
  readonly against: readonly Objection[];
  readonly on: Day;
}

/** A programme of rounds that runs: of a place, or of the whole collection. */
export interface RoundsView {
  /** Null for the whole collection. */
  readonly placeId: string | null;
  readonly placeName: string | null;
  readonly begunOn: Day;
  readonly chosen: Chosen<"prevention">;
  readonly inSeason: boolean;
  readonly plants: number;
  readonly tonight: readonly RoundLine[];
  readonly due: number;
  readonly next: Day | null;
  readonly spared: readonly { readonly plant: PlantCard; readonly why: Spared }[];
  /** What the resting ones carry meanwhile, in plants. */
  readonly restingRisk: number;
  /** Plants that another programme treats as well: two remedies on one plant want days between them. */
  readonly twice: readonly { readonly with: string | null; readonly codes: readonly string[] }[];
}

export interface Rounds {
  readonly rounds: readonly RoundsView[];
  readonly all: readonly InRounds[];
  readonly places: readonly Place[];
  readonly running: readonly Running[];
}

/** Whom a programme of rounds treats, those that are spared on the day among them. */
export function takenBy(
  { placeId, chosen }: Pick<Running<"prevention">, "placeId" | "chosen">,
  { all, places }: Pick<Rounds, "all" | "places">,
): readonly InRounds[] {
  const within = placeId === null ? null : around(places, placeId).within;
  return all.filter(
    ({ plant, row }) => (within === null || within.has(row.placeId)) && (chosen.who === "all" || isProne(plant)),
  );
}

/** The programmes of rounds that run, with what is due of each, what fits tonight, and whom it spares. */
export async function readRounds(context: Context): Promise<Rounds> {
  const scope = scopeOf(context, "read");
  const running = await programmesNow(scope);
  const { all, places } = await roundPlants(context, scope);
  const programmes = ofKind(running, "prevention");
  const rounds: RoundsView[] = [];
  for (const one of programmes) rounds.push(await roundOf(context, scope, one, programmes, { all, places }));
  return { rounds, all, places, running };
}

async function roundOf(
  context: Context,
  scope: Scope,
  one: Running<"prevention">,
  programmes: readonly Running<"prevention">[],
  there: Pick<Rounds, "all" | "places">,
): Promise<RoundsView> {
  const day = today(context);
  const { chosen, begunOn, placeId } = one;
  const { mix, technique, minutes, helpers, dryingPots, fromMonth, untilMonth } = chosen;
  const nameOf = (id: string | null) => there.places.find((place) => place.id === id)?.name ?? null;
  const theirs = takenBy(one, there);
  const spared = new Map(
    theirs.flatMap(({ plant }) => {
      const why = sparedFrom(plant, { mix, technique });
      return why ? [[plant.plantId, why] as const] : [];
    }),
  );
  const had = await treatedWith(context, scope, one);
  const dated = theirs
    .filter(({ plant }) => !spared.has(plant.plantId))
    .map((each) => ({ each, on: nextRound(chosen, begunOn, had(each.row.id), day) }));
  const due = dated.filter(({ on }) => on <= day);
  // What had its turn today has had its part of this evening: nobody moves up for it.
  const hadToday = dated.filter(({ each }) => had(each.row.id).last === day).map(({ each }) => each);
  const weightOf = ({ plant }: InRounds) => plant.carries.reduce((sum, { p }) => sum + p, 0);
  const { batches } = inBatches(
    [
      ...due.map(({ each, on }) => batchPlant(each, weightOf(each) + daysBetween(on, day) / 1000)),
      ...hadToday.map((each) => batchPlant(each, FIRST)),
    ],
    [day],
    { minutes, helpers, dryingPots },
  );
  const tonight = new Set(batches[0]?.plantIds ?? []);
  return {
    ...{ placeId, placeName: nameOf(placeId), begunOn, chosen, plants: theirs.length },
    inSeason: inSeason(Number(day.slice(5, 7)), fromMonth, untilMonth),
    tonight: due.filter(({ each }) => tonight.has(each.row.id)).map(({ each, on }) => lineOf(each, chosen, on, day)),
    due: due.length,
    next:
      dated
        .map(({ on }) => on)
        .filter((on) => on > day)
        .toSorted()[0] ?? null,
    spared: theirs.flatMap(({ row }) => {
      const why = spared.get(row.id);
      return why ? [{ plant: cardOf(row, day), why }] : [];
    }),
    restingRisk: theirs.reduce((sum, each) => sum + (spared.get(each.row.id) === "resting" ? weightOf(each) : 0), 0),
    twice: programmes
      .filter((other) => other !== one)
      .flatMap((other) => {
        const also = new Set(takenBy(other, there).map(({ row }) => row.id));
        const codes = theirs.filter(({ row }) => also.has(row.id)).map(({ row }) => row.code);
        return codes.length > 0 ? [{ with: nameOf(other.placeId), codes }] : [];
      }),
  };
}

/** The weight of what has had its turn: before all others. */
const FIRST = 1000;

const batchPlant = ({ row, plant }: InRounds, weight: number) => ({
  ...{ plantId: row.id, minutes: plant.minutes, dries: true, weight },
});

/** What each plant has had of a programme's remedy. */
async function treatedWith(context: Context, scope: Scope, { chosen, begunAt }: Running<"prevention">) {
  const contacts = await facts.lastContacts(scope, mixesWith(mixes[chosen.mix].remedy), begunAt);
  const byId = new Map(contacts.map((one) => [one.plantId, one]));
  return (plantId: string) => {
    const one = byId.get(plantId);
    return { last: one?.at ? dayOf(context, one.at) : null, times: one?.times ?? 0 };
  };
}

function lineOf(
  { plant, row }: InRounds,
  { mix: wanted, technique }: Chosen<"prevention">,
  on: Day,
  day: Day,
): RoundLine {
  const { bearer } = plant;
  const mix = mixOn(bearer, wanted);
  return {
    plant: cardOf(row, day),
    act: {
      ...{ kind: "contact", mix, technique, volumeMl: volumeFor(technique, bearer.potCm) },
      spots: spotsFor(technique, bearer.form),
    },
    minutes: plant.minutes,
    against: objections(bearer, mix, technique),
    on,
  };
}

/**
 * How many plants have their turn in each programme of rounds now, and when the next one has; those that would be spared on the day among
 * them. Of thousands of plants only what they had of the remedy is read.
 */
export async function roundsDue(
  context: Context,
  scope: Scope,
  one: Running<"prevention">,
  places: readonly Place[],
  prone: (genus: string) => boolean,
): Promise<{ readonly due: number; readonly next: Day | null }> {
  const day = today(context);
  const { chosen, begunOn, begunAt, placeId } = one;
  const within = placeId === null ? null : around(places, placeId).within;
  const contacts = await facts.lastContacts(scope, mixesWith(mixes[chosen.mix].remedy), begunAt);
  const dates = contacts
    .filter((plant) => (within === null || within.has(plant.placeId)) && (chosen.who === "all" || prone(plant.genus)))
    .map(({ at, times }) => nextRound(chosen, begunOn, { last: at && dayOf(context, at), times }, day));
  return {
    due: dates.filter((on) => on <= day).length,
    next: dates.filter((on) => on > day).toSorted()[0] ?? null,
  };
}
