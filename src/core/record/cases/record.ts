import type { Day } from "../../shared/days";
import { isApart, type Place, type Plant } from "../facts/descriptions";
import { placeOrder } from "../facts/placeOrder";
import {
  standing,
  type ActDone,
  type Closing,
  type Look,
  type Placement,
  type Programme,
  type Reaction,
} from "../facts/facts";
import { casesOf, type Case } from "./cases";
import type { Exposure } from "./exposures";
import { inspectionsOn } from "./inspections";
import { stayAt, staysOf, type Stay } from "./stays";

/** The facts of one plant, oldest first, those struck out among them. */
export interface PlantFacts {
  readonly plant: Plant;
  readonly placements: readonly Placement[];
  readonly looks: readonly Look[];
  /** Done to the plant, or to a place at any time. */
  readonly acts: readonly ActDone[];
  readonly closings: readonly Closing[];
  readonly programmes: readonly Programme[];
  readonly reactions: readonly Reaction[];
}

/** Everything on record of one plant, with what its facts come to. */
export interface PlantRecord extends PlantFacts {
  readonly stays: readonly Stay[];
  /** Its looks, and what was done by the eye and found nothing; oldest first. */
  readonly inspections: readonly Look[];
  /** The days on which it was looked at, ascending, and whether nothing was found; inspections that stand. */
  readonly looked: readonly { readonly day: Day; readonly clean: boolean }[];
  /** Those done to the plant, and those done to a place while it stood there. */
  readonly acts: readonly ActDone[];
  readonly cases: readonly Case[];
  readonly exposures: readonly (Exposure & { readonly day: Day })[];
  /** Whether a place stands apart from the others. */
  readonly apartAt: (placeId: string) => boolean;
  /** Whether a place is out of doors. */
  readonly outdoorsAt: (placeId: string) => boolean;
  /** Whether it stands in a closed cabinet now. */
  readonly enclosed: boolean;
  /** Whether it stands out of doors now. */
  readonly outdoors: boolean;
}

/** What of the places bears on a record. */
export interface PlacesInRecord {
  readonly apartAt: (placeId: string) => boolean;
  readonly outdoorsAt: (placeId: string) => boolean;
  /** Whether a place is a closed cabinet, or in one. */
  readonly enclosedAt: (placeId: string) => boolean;
  /** Whether what is done to one place meets what stands at another: at the place itself and at all that is in it. */
  readonly isWithin: (placeId: string, actedOn: string) => boolean;
}

/** The places as a record needs them. */
export function placesInRecord(places: readonly Place[]): PlacesInRecord {
  const { outwards } = placeOrder(places);
  return {
    // What stands in a tray or a cabinet that stands apart is apart with it.
    apartAt: (placeId) => outwards(placeId).some(({ kind }) => isApart(kind)),
    outdoorsAt: (placeId) => outwards(placeId).some(({ kind }) => kind === "outdoors"),
    enclosedAt: (placeId) => outwards(placeId).some(({ kind }) => kind === "cabinet"),
    isWithin: (placeId, actedOn) => outwards(placeId).some(({ id }) => id === actedOn),
  };
}

/** The record of a plant, without what it has stood beside; that needs the cases of others. */
export function recordOf(
  facts: PlantFacts,
  { apartAt, outdoorsAt, enclosedAt, isWithin }: PlacesInRecord,
): Omit<PlantRecord, "exposures"> {
  const stays = staysOf(facts.placements, facts.plant.archivedAt);
  const last = stays.at(-1);
  const here = last?.until === null ? last.placeId : null;
  const inspections = inspectionsOn({
    looks: facts.looks,
    acts: facts.acts.filter((one) => one.plantId === facts.plant.id),
  });
  return {
    ...facts,
    stays,
    inspections,
    looked: standing(inspections).map(({ day, finds }) => ({ day, clean: finds.length === 0 })),
    apartAt,
    outdoorsAt,
    enclosed: here !== null && enclosedAt(here),
    outdoors: here !== null && outdoorsAt(here),
    acts: facts.acts.filter(({ plantId, placeId, at }) => {
      if (placeId === null) return plantId === facts.plant.id;
      const stay = stayAt(stays, at);
      return stay !== null && isWithin(stay.placeId, placeId);
    }),
    cases: casesOf(facts.looks, facts.closings),
  };
}

/** Whether live animals of a case were seen at the last inspection since it began. */
export function isLive({ pest, openedAt }: Pick<Case, "pest" | "openedAt">, inspections: readonly Look[]): boolean {
  const last = standing(inspections).findLast((look) => look.at >= openedAt);
  return last?.finds.some((find) => find.pest === pest) ?? false;
}
