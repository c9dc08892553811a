import { z } from "zod";
import { id, requiredText } from "../shared/fields";

/** A device that tells the air of a place. It is described, not recorded: what it told is. */
export const keepSensor = z.object({
  id,
  name: requiredText(60),
  placeId: id,
  address: requiredText(200),
});
export type KeepSensor = z.output<typeof keepSensor>;
export const dropSensor = z.object({ id });
export type DropSensor = z.output<typeof dropSensor>;

/** What a device answers when it is asked what it has measured since a moment. Times bear their offset. */
export const sensorAnswer = z.object({
  /** What is left of its battery, 0–1; left out where it has none. */
  battery: z.number().min(0).max(1).nullish(),
  readings: z
    .array(
      z.object({
        at: z.iso.datetime({ offset: true }),
        celsius: z.number(),
        humidity: z.number().nullish(),
      }),
    )
    .max(5000),
  /** Whether there is more after the last of these. */
  more: z.boolean().optional(),
});
export type SensorAnswer = z.output<typeof sensorAnswer>;
