import { FLOOR_PLAN_COLUMNS, FLOOR_PLAN_ROWS } from "./floorPlanSize";
import { sensitivities } from "../../knowledge/plants/sensitivities";
import { moistureIds } from "../../knowledge/plants/moisture";
import { plantValues } from "../../knowledge/plants/plantValue";
import { z } from "zod";
import { dayField, decimal, id, moment, orNothing, requiredText, text, whole } from "../../shared/fields";
import { toolIds } from "../../model/inspection/tools";
import { growthFormIds } from "../../knowledge/plants/growthForms";
import { rounds } from "../../model/inspection/rounds";
import { factKindIds, type FactKindId } from "./facts";
import { celsius } from "./kinds/reading";
import { settings } from "./settings";

/**
 * The shapes of commands that are no facts themselves: what describes plants and places, begins and ends. Ids are made by
 * whoever carries the command out, so that sending it twice does it once.
 */

export const placeKinds = ["room", "shelf", "isolation", "bag", "tray", "cabinet", "outdoors"] as const;
export type PlaceKind = (typeof placeKinds)[number];

/** What each kind of place may stand in; an empty list for what stands by itself. */
export const standsIn: Readonly<Record<PlaceKind, readonly PlaceKind[]>> = {
  room: [],
  outdoors: [],
  cabinet: ["room"],
  shelf: ["room", "cabinet", "outdoors"],
  isolation: ["room"],
  tray: ["room", "shelf", "cabinet", "isolation", "outdoors"],
  bag: ["room", "shelf", "cabinet", "isolation", "outdoors", "tray"],
};
/** Those that may stand by themselves. */
export const standsAlone: readonly PlaceKind[] = ["room", "outdoors", "shelf", "isolation"];

export const lightIds = ["window", "lamp", "both"] as const;
export type LightId = (typeof lightIds)[number];

const placeDescription = {
  name: requiredText(60),
  roomFor: orNothing(whole(1, 5000)).optional(),
  doorShut: z.boolean().optional(),
  /** The place below, onto which its water drips. */
  dripsOn: orNothing(id).optional(),
  light: orNothing(z.enum(lightIds)).optional(),
  heightCm: orNothing(decimal(0, 400)).optional(),
};

export const addPlace = z.object({
  id,
  ...placeDescription,
  kind: z.enum(["room", "shelf", "isolation", "tray", "cabinet", "outdoors"]),
  parentId: orNothing(id),
  /** About how warm it is there from today on; a place within another may leave it to that. */
  celsius: orNothing(celsius),
  readingId: id,
});
export type AddPlace = z.output<typeof addPlace>;

/** Where rooms are on the plan; those left out stay where they are. */
export const arrangePlaces = z.object({
  places: z
    .array(
      z.object({
        placeId: id,
        column: z
          .int()
          .min(0)
          .max(FLOOR_PLAN_COLUMNS - 1),
        row: z
          .int()
          .min(0)
          .max(FLOOR_PLAN_ROWS - 1),
      }),
    )
    .min(1)
    .max(FLOOR_PLAN_COLUMNS * FLOOR_PLAN_ROWS),
});
export type ArrangePlaces = z.output<typeof arrangePlaces>;

export const editPlace = z.object({ placeId: id, ...placeDescription });
export type EditPlace = z.output<typeof editPlace>;

const plantDescription = {
  code: requiredText(24),
  name: requiredText(80),
  genus: text(60),
  growthForm: z.enum(growthFormIds),
  potCm: decimal(1, 200),
  acquiredOn: orNothing(dayField),
  seller: text(80),
  inBud: z.boolean().optional(),
  worth: z.enum(plantValues).optional(),
  kept: orNothing(z.enum(moistureIds)).optional(),
  inFlower: z.boolean(),
  careAdded: z.array(z.enum(sensitivities)).max(sensitivities.length).optional(),
  careWithout: z.array(z.enum(sensitivities)).max(sensitivities.length).optional(),
};

export const addPlant = z.object({
  id,
  placementId: id,
  placeId: id,
  /** Where in the row of the place, from left to right; nothing where nobody says. */
  slot: z.number().nullish(),
  /** The plant it was cut from, if it is a cutting of one that is here. */
  motherId: orNothing(id).optional(),
  ...plantDescription,
});
export type AddPlant = z.output<typeof addPlant>;

/** So many plants are added in one go; more come in several. */
export const MOST_AT_ONCE = 500;

export const addPlants = z.object({ plants: z.array(addPlant).min(1).max(MOST_AT_ONCE) });
export type AddPlants = z.output<typeof addPlants>;

export const editPlant = z.object({ plantId: id, ...plantDescription });
export type EditPlant = z.output<typeof editPlant>;

export const archivePlant = z.object({ plantId: id, archived: z.boolean() });
export type ArchivePlant = z.output<typeof archivePlant>;

/** Several plants are moved, each to its own place. */
export const moveSeveral = z.object({
  moves: z
    .array(z.object({ id, plantId: id, placeId: id }))
    .min(1)
    .max(MOST_AT_ONCE),
  at: moment,
});
export type MoveSeveral = z.output<typeof moveSeveral>;

export const walkScopes = ["place", "due", "everything", "arrivals", "chosen"] as const;
export type WalkScope = (typeof walkScopes)[number];

export const startWalk = z.object({
  id,
  scope: z.enum(walkScopes),
  /** The room or shelf, for a walk of one place. */
  placeId: orNothing(id),
  tool: z.enum(toolIds),
  round: z.enum(rounds),
  /** The plants of a walk that were chosen one by one, each with what to look with and where, if that is not the walk's own. */
  chosen: z
    .array(z.object({ plantId: id, tool: z.enum(toolIds).optional(), round: z.enum(rounds).optional() }))
    .max(MOST_AT_ONCE)
    .optional(),
  /** Whether they are walked in the order given, and not in the one that spreads least. */
  inOrder: z.boolean().optional(),
});
export type StartWalk = z.output<typeof startWalk>;

export const endWalk = z.object({ walkId: id });
export type EndWalk = z.output<typeof endWalk>;

export const voidFact = z.object({
  kind: z.enum(factKindIds as [FactKindId, ...FactKindId[]]),
  factId: id,
  reason: requiredText(200),
});
export type VoidFact = z.output<typeof voidFact>;

export const changeSettings = settings;

export const forgetExperience = z.object({});

/** What a new collection begins with: its settings, a first room and, if there is one, a shelf in it. */
export const beginCollection = z.object({
  id,
  ...settings.pick({ name: true, timeZone: true, units: true, hemisphere: true, owns: true }).shape,
  room: requiredText(60),
  roomId: id,
  shelf: text(60),
  shelfId: id,
  celsius,
  readingId: id,
});
export type BeginCollection = z.output<typeof beginCollection>;

export const aboutDemo = z.object({ what: z.enum(["show", "reset", "remove"]) });
