import { daysBetween, type Day } from "@/core/climate/days";
import { volumeFor } from "@/core/mixing/sprayVolume";
import { mixes, type MixId } from "@/core/mixing/mixes";
import { minutesFor } from "@/core/acts/effort";
import { standing } from "@/core/facts/facts";
import type { Chosen } from "@/core/facts/kinds/roomProgramme";
import { USUAL_C } from "@/core/diagnosis/priors";
import type { Act } from "@/core/acts/acts";
import { proneTo } from "@/core/plants/care";
import { spotsFor, type TechniqueId } from "@/core/remedies/remedies";
import { inBatches } from "@/core/rooms/batches";
import { guestsDue, type GuestsDue } from "@/core/rooms/guests";
import {
  inSeason,
  isProne,
  mixOn,
  nextRound,
  roundMixes,
  sparedFrom,
  worthOf,
  type RoundMixId,
  type RoundPlant,
  type RoundWorth,
  type Spared,
} from "@/core/rooms/prevention";
import { ofKind } from "@/core/rooms/running";
import { warmthAt } from "@/core/case/warmth";
import type { PlantCard } from "@/core/state/plantCard";
import { objections, type Objection } from "@/core/suitability/suitability";
import * as carriage from "@/db/stores/carriage";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { bearerOn } from "./parts/onPlant";
import { cardOf } from "./parts/plantCard";
import { recordsOf, type KeptRecord } from "./parts/plantRecords";
import { around, programmesNow } from "./parts/roomOnRecord";

/** A plant of a round, with what is put on. */
export interface RoundLine {
  readonly plant: PlantCard;
  readonly act: Act;
  readonly minutes: number;
  readonly against: readonly Objection[];
  readonly on: Day;
}

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
  /** What one round would be worth now, by mix: for everyone, and for the prone kinds alone. */
  readonly worth: readonly { readonly mix: RoundMixId; readonly all: RoundWorth; readonly prone: RoundWorth }[];
  readonly running: {
    readonly begunOn: Day;
    readonly chosen: Chosen<"prevention">;
    readonly inSeason: boolean;
    readonly tonight: readonly RoundLine[];
    readonly due: number;
    readonly next: Day | null;
    readonly spared: readonly { readonly plant: PlantCard; readonly why: Spared }[];
    /** What the resting ones carry meanwhile, in plants. */
    readonly restingRisk: number;
  } | null;
  readonly guests: readonly GuestsView[];
  readonly places: readonly { readonly id: string; readonly name: string; readonly cabinet: boolean }[];
}

const TECHNIQUE: TechniqueId = "spray";
/** Plants whose records are read at once. */
const BATCH = 200;

/** Rounds of prevention: what one is worth, what is due of those chosen, whom it spares; and predators let loose before anything is found. */
export async function readPrevention(context: Context): Promise<PreventionView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const all = await places.all(scope);
  const listed = await plantStates.list(scope);
  const rows = new Map(listed.map((row) => [row.id, row]));
  const records: KeptRecord[] = [];
  const warmth = new Map<string, number>();
  for (let i = 0; i < listed.length; i += BATCH) {
    const read = await recordsOf(
      scope,
      listed.slice(i, i + BATCH).map(({ id }) => id),
    );
    records.push(...read.records);
    for (const { id } of all) warmth.set(id, warmthAt(read.temperaturesOf, id, day) ?? USUAL_C);
  }
  const carried = new Map((await carriage.of(scope, [...rows.keys()])).map((row) => [row.plantId, row]));
  const asked = records.map((record): { readonly record: KeptRecord; readonly plant: RoundPlant } => {
    const { id, potCm, genus } = record.plant;
    const row = rows.get(id)!;
    return {
      record,
      plant: {
        ...{ plantId: id, bearer: bearerOn(context, record, day), prone: proneTo(genus) },
        inCase: record.cases.some(({ open }) => open),
        carries: carried.get(id)?.result?.pests ?? [],
        placeId: row.placeId,
        meanC: warmth.get(row.placeId) ?? USUAL_C,
        minutes: minutesFor(TECHNIQUE, potCm),
        volumeMl: volumeFor(TECHNIQUE, potCm),
      },
    };
  });
  const round = asked.map(({ plant }) => plant);
  const running = await programmesNow(scope);
  const chosen = ofKind(running, "prevention")[0] ?? null;
  const lineOf = (
    { plant, record }: (typeof asked)[number],
    chosenMix: MixId,
    technique: TechniqueId,
    on: Day,
  ): RoundLine => {
    const mix = mixOn(plant.bearer, chosenMix);
    return {
      plant: cardOf(rows.get(plant.plantId)!, day),
      act: {
        ...{ kind: "contact", mix, technique, volumeMl: volumeFor(technique, record.plant.potCm) },
        spots: spotsFor(technique, record.plant.growthForm),
      },
      minutes: plant.minutes,
      against: objections(plant.bearer, mix, technique),
      on,
    };
  };
  const roundOf = (): PreventionView["running"] => {
    if (!chosen) return null;
    const { mix, technique, who, minutes, helpers, dryingPots, fromMonth, untilMonth } = chosen.chosen;
    const theirs = asked.filter(({ plant }) => who === "all" || isProne(plant));
    const spared = theirs.flatMap(({ plant }) => {
      const why = sparedFrom(plant, { mix, technique });
      return why ? [{ plant: cardOf(rows.get(plant.plantId)!, day), why, id: plant.plantId }] : [];
    });
    const { remedy } = mixes[mix];
    const dated = theirs
      .filter(({ plant }) => !spared.some(({ id }) => id === plant.plantId))
      .map((one) => {
        const last = standing(one.record.acts).findLast(
          ({ act, plantId }) =>
            plantId === one.plant.plantId && act.kind === "contact" && mixes[act.mix].remedy === remedy,
        );
        return { one, on: nextRound(chosen.chosen, chosen.begunOn, last?.day ?? null, day) };
      });
    const due = dated.filter(({ on }) => on <= day);
    const weightOf = ({ plant }: (typeof asked)[number]) => plant.carries.reduce((sum, { p }) => sum + p, 0);
    const { batches } = inBatches(
      due.map(({ one, on }) => ({
        ...{ plantId: one.plant.plantId, minutes: one.plant.minutes, dries: true },
        weight: weightOf(one) + daysBetween(on, day) / 1000,
      })),
      [day],
      { minutes, helpers, dryingPots },
    );
    const tonight = batches[0]?.plantIds ?? [];
    return {
      begunOn: chosen.begunOn,
      chosen: chosen.chosen,
      inSeason: inSeason(Number(day.slice(5, 7)), fromMonth, untilMonth),
      tonight: tonight.map((id) => {
        const { one, on } = due.find(({ one: { plant } }) => plant.plantId === id)!;
        return lineOf(one, mix, technique, on);
      }),
      due: due.length,
      next:
        dated
          .map(({ on }) => on)
          .filter((on) => on > day)
          .toSorted()[0] ?? null,
      spared: spared.map(({ plant, why }) => ({ plant, why })),
      restingRisk: theirs.reduce((sum, one) => {
        const rests = spared.some(({ id, why }) => id === one.plant.plantId && why === "resting");
        return sum + (rests ? weightOf(one) : 0);
      }, 0),
    };
  };
  return {
    day,
    worth: roundMixes.map((mix) => ({
      mix,
      all: worthOf(round, { mix, technique: TECHNIQUE }),
      prone: worthOf(round, { mix, technique: TECHNIQUE }, isProne),
    })),
    running: roundOf(),
    guests: ofKind(running, "guests").map((one) => {
      const within = around(all, one.placeId!).within;
      const there = asked.filter(({ plant }) => within.has(rows.get(plant.plantId)!.placeId));
      const acts = there.flatMap(({ record }) => standing(record.acts)).map(({ act, day: on }) => ({ act, day: on }));
      const { predator, everyDays } = one.chosen;
      return {
        placeId: one.placeId!,
        placeName: all.find(({ id }) => id === one.placeId)?.name ?? "",
        chosen: one.chosen,
        due: guestsDue(predator, everyDays, one.begunOn, acts, day),
        wouldSpray: chosen
          ? there
              .filter(({ plant }) => chosen.chosen.who === "all" || isProne(plant))
              .filter(({ plant }) => sparedFrom({ ...plant, bearer: withoutHelpers(plant) }, chosen.chosen) === null)
              .map(({ plant }) => rows.get(plant.plantId)!.code)
          : [],
      };
    }),
    places: all
      .filter(({ kind }) => kind !== "bag" && kind !== "isolation")
      .map(({ id, name, kind }) => ({ id, name, cabinet: kind === "cabinet" })),
  };
}

/** A plant as a round would see it if nobody lived on it. */
function withoutHelpers({ bearer }: RoundPlant): RoundPlant["bearer"] {
  const { helpers: _helpers, ...rest } = bearer;
  return rest;
}
