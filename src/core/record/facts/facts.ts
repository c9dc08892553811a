import type { z } from "zod";
import type { Day } from "../../shared/days";
import type { everyFact, FactKind } from "./kind";
import { act } from "./kinds/act";
import { cleaning } from "./kinds/cleaning";
import { climateDay } from "./kinds/climateDay";
import { closing } from "./kinds/closing";
import { look } from "./kinds/look";
import { photo } from "./kinds/photo";
import { placePhoto } from "./kinds/placePhoto";
import { placement } from "./kinds/placement";
import { programme } from "./kinds/programme";
import { reaction } from "./kinds/reaction";
import { reading } from "./kinds/reading";
import { roomEnding, roomProgramme } from "./kinds/roomProgramme";
import { skip } from "./kinds/skip";
import { trapCount } from "./kinds/trapCount";

/** The registry: every kind of fact there is. */
export const factKinds = {
  look,
  act,
  placement,
  programme,
  closing,
  skip,
  photo,
  reading,
  reaction,
  cleaning,
  placePhoto,
  climateDay,
  trapCount,
  roomProgramme,
  roomEnding,
} as const;

export type FactKindId = keyof typeof factKinds;
export const factKindIds = Object.keys(factKinds) as [FactKindId, ...FactKindId[]];

/** A kind of fact, as the general type. */
export function factKindOf(kind: FactKindId): FactKind {
  return factKinds[kind] as unknown as FactKind;
}

/** A fact as it is read back. `at` is an instant, `day` its day in the collection's time zone. */
export type Fact<K extends FactKindId> = z.output<typeof everyFact> &
  z.output<(typeof factKinds)[K]["own"]> & { readonly day: Day };

export type Look = Fact<"look">;
export type ActDone = Fact<"act">;
export type Placement = Fact<"placement">;
export type Programme = Fact<"programme">;
export type Closing = Fact<"closing">;
export type Skip = Fact<"skip">;
export type Photo = Fact<"photo">;
export type Reading = Fact<"reading">;
export type Reaction = Fact<"reaction">;
export type ClimateDay = Fact<"climateDay">;
export type TrapCount = Fact<"trapCount">;
export type RoomProgramme = Fact<"roomProgramme">;
export type RoomEnding = Fact<"roomEnding">;

/**
 * The order in which facts happened. Moments are told to the minute: of one minute the one written down first comes first.
 */
export function byMoment(
  a: { readonly at: Date; readonly recordedAt: Date; readonly id: string },
  b: { readonly at: Date; readonly recordedAt: Date; readonly id: string },
): number {
  const apart = a.at.getTime() - b.at.getTime() || a.recordedAt.getTime() - b.recordedAt.getTime();
  return apart || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}

/** Those that have not been struck out. */
export function standing<F extends { readonly voidReason: string | null }>(facts: readonly F[]): F[] {
  return facts.filter((fact) => fact.voidReason === null);
}
