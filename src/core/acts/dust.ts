import { z } from "zod";
import { whole } from "../shared/fields";
import { DUST_HAZARD, DUSTED_MIX } from "../knowledge/remedies/lasting";
import { pestOf, type LifeStage } from "../knowledge/pests/pests";
import { SPRAY_FREE_DAYS } from "../knowledge/remedies/naturalEnemies";
import { keptUp, nothingInPots } from "./inPots";
import { actKind, touchesNothing } from "./kind";

/** Where dust goes: on the leaves where nobody said. */
export const dustedOn = ["leaves", "mix"] as const;

const MINUTES = 5;

/** What walks through it: on the mix those that come up from it and fly. */
const meets = ({ on }: { readonly on?: (typeof dustedOn)[number] | undefined }, { mobile, where }: LifeStage) =>
  mobile === true && (on !== "mix" || where === "air");

/** Mineral dust, working for as long as it stays dry: on the leaves and below them, or against gnats on the mix and the saucer alone. */
export const dust = actKind({
  kind: "dust",
  shape: z.object({ kind: z.literal("dust"), dryDays: whole(1, 60), on: z.enum(dustedOn).optional() }),
  doneTo: ["plant", "place"],
  events: (act, { pest }, atDays) => {
    if (!pest.stages.some((stage) => meets(act, stage))) return [];
    const dailyHazard = pest.stages.map((stage) => (meets(act, stage) ? DUST_HAZARD : 0));
    return [{ kind: "lasting", atDays, untilDays: atDays + act.dryDays, effect: { dailyHazard, layFactor: 1 } }];
  },
  treats: (act, pest) => pestOf(pest).stages.some((stage) => meets(act, stage)),
  cleanLook: () => null,
  touches: () => ({ ...touchesNothing, helpers: true, air: true }),
  products: () => ["dust"],
  poured: () => null,
  work: () => null,
  cautions: () => ["dustMask", "dustOnlyDry", "sprayFree"],
  costs: () => ({ minutes: MINUTES, volumeMl: 0 }),
  timers: () => [],
  gnatWay: ({ on }) => (on === "mix" ? "dust" : null),
  inPots: ({ dryDays, on }, done) => (on === "mix" ? keptUp(DUSTED_MIX, dryDays, done) : nothingInPots),
  alike: () => "",
  ahead: () => [{ what: "freeForHelpers", days: SPRAY_FREE_DAYS }],
});
