import { washesOn, type OnPlant } from "@/core/advice/plans/onPlant";
import type { PlantRecord } from "@/core/record/cases/record";
import type { Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { inUse } from "@/core/knowledge/household/bottles";
import { systemicIn, type Home } from "@/core/knowledge/household/household";
import { usualTool } from "@/core/record/facts/settings";
import { treatedPlantOf, restsDryOn, type TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { naturalEnemiesOn } from "@/core/record/cases/naturalEnemiesOn";
import { sightBefore } from "@/core/record/cases/keepersEye";
import { keeperOf } from "@/core/record/cases/techniqueHand";
import { today, type Context } from "../shared/context";
import type { KeptRecord } from "./plantRecords";

/** What a collection's home says to remedies. */
export function homeOf({ household, notAllowed, bottles }: Context["collection"]): Home {
  return { household, notAllowed, bottles: inUse(bottles) };
}

/** A plant as remedies are weighed against it on a day. */
export function bearerOn(
  { collection }: Pick<Context, "collection">,
  {
    plant,
    reactions,
    acts,
    enclosed,
    outdoors,
  }: Pick<PlantRecord, "plant" | "reactions" | "acts" | "enclosed" | "outdoors">,
  on: Day,
): TreatedPlant {
  const home = homeOf(collection);
  const bearer = treatedPlantOf(plant, standing(reactions), on, collection.hemisphere, home);
  const { sensitivities } = bearer;
  const systemic = systemicIn(home, { sensitivities, outdoors });
  return { ...bearer, today: on, helpers: naturalEnemiesOn(acts), enclosed, outdoors, ...(systemic && { systemic }) };
}

/** What of a plant and its keeper bears on what is done next; of the keeper's eye what was known when a case began, where it is one. */
export function onPlant(
  context: Pick<Context, "collection" | "now">,
  record: KeptRecord,
  openedAt = context.now,
): OnPlant {
  const day = today(context);
  const tool = usualTool(context.collection.owns);
  const last = standing(record.inspections).at(-1);
  const [meanC] = record.warmth(day, day);
  const [humidity = null] = record.humidity(day, day);
  const rests = restsDryOn(record.plant, day, context.collection.hemisphere);
  return {
    bearer: bearerOn(context, record, day),
    tool,
    sees: last ? sightBefore(openedAt, record.sight, context.collection)({ keeper: keeperOf(last), tool }) : 1,
    ...(meanC !== undefined && { now: { meanC, humidity, rests } }),
    everyDays: context.collection.everyDays,
    washes: washesOn(record.acts, day),
  };
}
