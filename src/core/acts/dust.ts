import { z } from "zod";
import { whole } from "../fields";
import { DUST_HAZARD } from "../remedies/lasting";
import { actKind } from "./kind";

const MINUTES = 5;

/** Mineral dust on leaves and mix, working for as long as it stays dry. */
export const dust = actKind({
  kind: "dust",
  shape: z.object({ kind: z.literal("dust"), dryDays: whole(1, 60) }),
  doneTo: ["plant"],
  events: ({ dryDays }, { pest }, atDays) => [
    {
      kind: "lasting",
      atDays,
      untilDays: atDays + dryDays,
      effect: { dailyHazard: pest.stages.map((stage) => (stage.mobile ? DUST_HAZARD : 0)), layFactor: 1 },
    },
  ],
  cautions: () => ["dustMask", "dustOnlyDry", "sprayFree"],
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
});
