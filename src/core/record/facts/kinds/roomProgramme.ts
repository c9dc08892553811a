import { z } from "zod";
import { decimal, dayField, id, orNothing, text, whole } from "../../../shared/fields";
import { mixIds } from "../../../knowledge/mixes/mixes";
import { techniqueIds } from "../../../knowledge/remedies/remedies";
import { predatorIds } from "../../../knowledge/remedies/lasting";
import { gnatWayIds } from "../../../acts/gnatWayIds";
import { roundRhythms } from "../../../knowledge/routines/roundRhythms";
import { winterRemedies } from "../../../knowledge/routines/winterRemedies";
import { factKind } from "../kind";

/** Programmes of a room, of the way in for winter, and of the whole collection. */
export const roomProgrammeIds = ["gnats", "wintering", "prevention", "guests"] as const;
export type RoomProgrammeId = (typeof roomProgrammeIds)[number];

const evening = {
  /** Pots that can dry at the same time. */
  dryingPots: whole(1, 500),
  /** Minutes of work on one evening, and how many hands share them. */
  minutes: whole(10, 720),
  helpers: whole(1, 20),
};

/** What a keeper chooses for each kind. */
const gnats = z.object({ programme: z.literal("gnats"), ways: z.array(z.enum(gnatWayIds)).min(1) });
const wintering = z.object({
  programme: z.literal("wintering"),
  /** Where they go in, and by when. */
  toPlaceId: id,
  moveOn: dayField,
  /** The coldest night they may have outside, °C. */
  coldestC: decimal(-10, 20),
  /** So many weeks before it begins. */
  weeks: whole(1, 12),
  /** What they are sprayed with; what each kind asks for where nobody said. */
  remedy: z.enum(winterRemedies).optional(),
  ...evening,
});
const prevention = z.object({
  programme: z.literal("prevention"),
  mix: z.enum(mixIds),
  technique: z.enum(techniqueIds),
  who: z.enum(["all", "prone"]),
  /** How often, once it has come to its pace. */
  everyDays: whole(5, 365),
  /** Whether it begins dense and thins out; steady where nobody said. */
  rhythm: z.enum(roundRhythms).optional(),
  /** Nothing is due before this day; nothing where it does not pause. */
  pausedUntil: orNothing(dayField).optional(),
  /** The months in which it runs, 1 to 12, both included; over the turn of the year where the first is later. */
  fromMonth: whole(1, 12),
  untilMonth: whole(1, 12),
  ...evening,
});
const guests = z.object({
  programme: z.literal("guests"),
  predator: z.enum(predatorIds),
  sachets: whole(1, 500),
  everyDays: whole(7, 90),
});

export const chosenProgramme = z.discriminatedUnion("programme", [gnats, wintering, prevention, guests]);
export type ChosenProgramme = z.output<typeof chosenProgramme>;
export type Chosen<K extends RoomProgrammeId> = Extract<ChosenProgramme, { programme: K }>;

/** Begins a programme, or goes on with other choices. */
export const beginProgramme = z.object({
  id,
  /** The room or the place it is about; null for the whole collection. */
  placeId: orNothing(id),
  chosen: chosenProgramme,
});
export type BeginProgramme = z.output<typeof beginProgramme>;

export const roomProgramme = factKind({
  kind: "roomProgramme",
  table: "room_programmes",
  command: beginProgramme,
  own: z.object({
    programme: z.enum(roomProgrammeIds),
    placeId: z.string().nullable(),
    chosen: chosenProgramme,
  }),
  columns: { programme: "text", placeId: "uuid", chosen: "json" },
  shownOn: ["place"],
});

export const programmeEnds = ["clear", "done", "stopped"] as const;
export type ProgrammeEnd = (typeof programmeEnds)[number];

export const endProgramme = z.object({
  id,
  programme: z.enum(roomProgrammeIds),
  placeId: orNothing(id),
  outcome: z.enum(programmeEnds),
  note: text(500),
});
export type EndProgramme = z.output<typeof endProgramme>;

/** A programme of a room came to its end. */
export const roomEnding = factKind({
  kind: "roomEnding",
  table: "room_endings",
  command: endProgramme,
  own: z.object({
    programme: z.enum(roomProgrammeIds),
    placeId: z.string().nullable(),
    outcome: z.enum(programmeEnds),
    note: z.string(),
  }),
  columns: { programme: "text", placeId: "uuid", outcome: "text", note: "text" },
  shownOn: ["place"],
});
