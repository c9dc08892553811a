import { z } from "zod";
import { whole } from "../fields";
import { DUST_HAZARD } from "../remedies/lasting";
import { pestOf } from "../pests/pests";
import { SPRAY_FREE_DAYS } from "../suitability/helpers";
import { actKind, touchesNothing } from "./kind";

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
  treats: (_act, pest) => pestOf(pest).stages.some(({ mobile }) => mobile),
  cleanLook: () => null,
  touches: () => ({ ...touchesNothing, helpers: true, air: true }),
  product: () => "dust",
  poured: () => null,
  work: () => null,
  cautions: () => ["dustMask", "dustOnlyDry", "sprayFree"],
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  ahead: () => [{ what: "freeForHelpers", days: SPRAY_FREE_DAYS }],
});
