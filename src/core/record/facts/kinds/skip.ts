import { z } from "zod";
import { id, moment } from "../../../shared/fields";
import { factKind } from "../kind";

export const skipReasons = ["notThere", "outOfReach", "underTreatment", "lookedJustNow", "noTime"] as const;
export type SkipReason = (typeof skipReasons)[number];

export const skipPlant = z.object({ id, walkId: id, plantId: id, reason: z.enum(skipReasons), at: moment });
export type SkipPlant = z.output<typeof skipPlant>;

/** A plant was left out on a walk, with the reason. */
export const skip = factKind({
  kind: "skip",
  table: "skips",
  command: skipPlant,
  own: z.object({ walkId: z.string(), plantId: z.string(), reason: z.enum(skipReasons) }),
  columns: { walkId: "uuid", plantId: "uuid", reason: "text" },
  shownOn: ["plant"],
});
