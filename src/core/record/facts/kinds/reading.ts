import { z } from "zod";
import { decimal, id, moment, orNothing } from "../../../shared/fields";
import { factKind } from "../kind";

/** What a reading is: the keeper's "about so much from today on", or what a thermometer showed at that moment. */
export const readingSources = ["about", "thermometer"] as const;
export type ReadingSource = (typeof readingSources)[number];

/** Temperatures plants and their pests live through, °C. */
export const celsius = decimal(-10, 45);

export const takeReading = z.object({
  id,
  placeId: id,
  at: moment,
  celsius,
  /** Relative humidity, %. */
  humidity: orNothing(decimal(0, 100)).optional(),
  source: z.enum(readingSources),
});
export type TakeReading = z.output<typeof takeReading>;

/** How warm it was at a place. Readings are added, never changed. */
export const reading = factKind({
  kind: "reading",
  table: "readings",
  command: takeReading,
  own: z.object({
    placeId: z.string(),
    celsius: z.number(),
    humidity: z.number().nullable().default(null),
    source: z.enum(readingSources),
  }),
  columns: { placeId: "uuid", celsius: "number", humidity: "number", source: "text" },
  lastStaysOf: "placeId",
  shownOn: ["place"],
});
