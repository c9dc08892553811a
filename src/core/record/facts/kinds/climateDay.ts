import { z } from "zod";
import { factKind } from "../kind";

/** Where a day's climate comes from. */
export const climateSources = ["sensor", "file"] as const;

const celsius = z.number().min(-30).max(60);

/** What one day was like at a place, from all that was measured on it. It is made by the application from samples, not typed in. */
const climateDayCommand = z.object({
  id: z.string(),
  placeId: z.string(),
  /** The day it sums up, where the place is; it stays that day whatever zone is set later. */
  forDay: z.string(),
  source: z.enum(climateSources),
  minC: celsius,
  maxC: celsius,
  meanC: celsius,
  humidity: z.number().min(0).max(100).nullable(),
  deficitKpa: z.number().min(0).max(25).nullable(),
  hours: z.number().int().min(1).max(25),
  samples: z.number().int().min(1),
});

export const climateDay = factKind({
  kind: "climateDay",
  table: "climate_days",
  command: climateDayCommand,
  own: climateDayCommand.omit({ id: true }),
  columns: {
    placeId: "uuid",
    forDay: "day",
    source: "text",
    minC: "number",
    maxC: "number",
    meanC: "number",
    humidity: "number",
    deficitKpa: "number",
    hours: "integer",
    samples: "integer",
  },
  shownOn: [],
});
