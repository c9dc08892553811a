import { nothingExpected } from "../../facts/kinds/look";
import { addDays, day, type Day } from "../../../shared/days";
import { plainPlace, type Place, type Plant } from "../../facts/descriptions";
import type { ActDone, Closing, Look, Placement, Programme } from "../../facts/facts";
import type { PestId } from "../../../knowledge/pests/pests";
import { placesInRecord, recordOf, type PlantFacts, type PlantRecord } from "../record";

/** Builders of facts about one plant; days are counted from the first of September 2026, at six in the evening, UTC. */
const first = day("2026-09-01");
export const on = (offset: number): Day => addDays(first, offset);
export const at = (offset: number, time = "18:00") => new Date(`${on(offset)}T${time}:00Z`);

let made = 0;
/** Ids in the order in which they are asked for. */
export const nextId = () => `00000000-0000-7000-8000-${String(++made).padStart(12, "0")}`;

const recorded = (offset: number) => ({
  id: nextId(),
  at: at(offset),
  day: on(offset),
  recordedAt: at(offset),
  recordedBy: "",
  voidReason: null,
});

export const look = (offset: number, finds: readonly { pest?: PestId; caseId?: string }[] = [], over = {}): Look => ({
  ...recorded(offset),
  plantId: "p",
  walkId: null,
  tool: "lamp",
  newLeaves: null,
  ...nothingExpected,
  spots: ["axil"],
  turned: true,
  naming: null,
  note: "",
  finds: finds.map(({ pest = "mealybug", caseId = nextId() }) => ({
    id: nextId(),
    caseId,
    pest,
    severity: "light",
    count: 5,
    removed: false,
    spots: [],
    stages: [],
  })),
  ...over,
});

export const find = (offset: number, caseId?: string, pest?: PestId): Look =>
  look(offset, [{ ...(caseId && { caseId }), ...(pest && { pest }) }]);

export const closing = (offset: number, caseId: string, over: Partial<Closing> = {}): Closing => ({
  ...recorded(offset),
  plantId: "p",
  caseId,
  pest: "mealybug",
  outcome: "clear",
  pClear: null,
  reach: null,
  note: "",
  ...over,
});

export const spray = (offset: number, over: Partial<ActDone> = {}): ActDone => ({
  ...recorded(offset),
  plantId: "p",
  placeId: null,
  caseId: null,
  stepId: null,
  act: { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 50, spots: ["axil"] },
  note: "",
  ...over,
});

export const placement = (offset: number, placeId: string, over: Partial<Placement> = {}): Placement => ({
  ...recorded(offset),
  plantId: "p",
  placeId,
  slot: null,
  ...over,
});

export const plan = (
  offset: number,
  caseId: string,
  steps: readonly (readonly ["treat" | "look", number])[],
): Programme => ({
  ...recorded(offset),
  programme: "casePlan",
  plantId: "p",
  caseId,
  pest: "mealybug",
  basis: "own",
  ...{ pOver: null, pClean: null, sure: null },
  steps: steps.map(([kind, due]) => ({
    id: nextId(),
    kind,
    dueOn: on(due),
    dose: kind === "treat" ? { mix: "soapMild", technique: "spray" } : null,
  })),
});

const plant: Plant = {
  id: "p",
  code: "P",
  name: "",
  genus: "Hoya",
  growthForm: "trailingVine",
  potCm: 12,
  acquiredOn: null,
  seller: "",
  inBud: false,
  worth: "dear",
  inFlower: false,
  careAdded: [],
  careWithout: [],
  addedOn: first,
  archivedAt: null,
};

export const place = (
  id: string,
  kind: Place["kind"],
  parentId: string | null = null,
  over: Partial<Place> = {},
): Place => ({
  id,
  name: "",
  kind,
  parentId,
  ...plainPlace,
  ...over,
});

const around = placesInRecord([place("room", "room"), place("shelf", "shelf", "room"), place("pantry", "isolation")]);

/** The record of a plant that has stood on the shelf since the first day, unless told otherwise. */
export function record(over: Partial<PlantFacts> & Partial<Pick<PlantRecord, "exposures">> = {}): PlantRecord {
  const { exposures = [], ...facts } = over;
  const all = {
    plant,
    placements: [placement(0, "shelf")],
    looks: [],
    acts: [],
    closings: [],
    programmes: [],
    reactions: [],
    ...facts,
  };
  return { ...recordOf(all, around), exposures };
}

/** That a fact was struck out. */
export const struck = <F extends { voidReason: string | null }>(fact: F): F => ({ ...fact, voidReason: "not so" });
