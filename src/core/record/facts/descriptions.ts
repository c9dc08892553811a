import type { Day } from "../../shared/days";
import type { ToolId } from "../../model/inspection/tools";
import type { PestId } from "../../knowledge/pests/pests";
import type { Sensitivity } from "../../knowledge/plants/sensitivities";
import type { MoistureId } from "../../knowledge/plants/moisture";
import type { PlantValue } from "../../knowledge/plants/plantValue";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { Round } from "../../model/inspection/rounds";
import type { LightId, PlaceKind, WalkScope } from "./commands";

/** What is described rather than recorded: it may be changed, and no history of it is kept. */

export interface Place {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly parentId: string | null;
  /** How many pots there is room for; null where nobody has said. */
  readonly roomFor: number | null;
  /** Whether a door is kept shut between it and the rest. */
  readonly doorShut: boolean;
  /** The place onto which its water drips; null for none. */
  readonly dripsOn: string | null;
  /** Where its light comes from; null where nobody has said. */
  readonly light: LightId | null;
  /** How high its board is above the floor, cm; null where nobody has said. */
  readonly heightCm: number | null;
  /** Where it is on the plan of the rooms, from the left and from the top, in rooms; null until it has been put somewhere. */
  readonly planColumn: number | null;
  readonly planRow: number | null;
}

/** What is written of a place of which nobody has said anything yet. */
export const plainPlace = {
  roomFor: null,
  doorShut: false,
  dripsOn: null,
  light: null,
  heightCm: null,
  planColumn: null,
  planRow: null,
} satisfies Partial<Place>;

/** Whether a plant standing there is apart from the others. */
export function isApart(kind: PlaceKind): boolean {
  return kind === "isolation" || kind === "bag";
}

export interface Plant {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly genus: string;
  readonly growthForm: GrowthFormId;
  readonly potCm: number;
  readonly acquiredOn: Day | null;
  readonly seller: string;
  /** The plant it was cut from; null or left out for any other. */
  readonly motherId?: string | null;
  /** What its mother may have carried unseen on the day it was cut, pest by pest; nothing where left out. */
  readonly inherits?: Partial<Readonly<Record<PestId, number>>>;
  readonly inBud: boolean;
  readonly worth: PlantValue;
  /** How wet it is kept; null, or left out, where nobody has said. */
  readonly kept?: MoistureId | null;
  readonly inFlower: boolean;
  /** What its keeper knows of this plant beside its kind: what it is touchy about, and what it is not. */
  readonly careAdded: readonly Sensitivity[];
  readonly careWithout: readonly Sensitivity[];
  readonly addedOn: Day;
  /** When it left the collection; null while it is there. */
  readonly archivedAt: Date | null;
}

/** A round of looks. */
export interface Walk {
  readonly id: string;
  readonly scope: WalkScope;
  readonly placeId: string | null;
  readonly tool: ToolId;
  readonly round: Round;
  readonly startedAt: Date;
  readonly startedOn: Day;
  readonly endedAt: Date | null;
}
