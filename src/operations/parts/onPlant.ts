import { washesOn, type OnPlant } from "@/core/case/onPlant";
import type { PlantRecord } from "@/core/case/record";
import type { Day } from "@/core/climate/days";
import { standing } from "@/core/facts/facts";
import { inUse } from "@/core/household/bottles";
import { systemicIn, type Home } from "@/core/household/household";
import { usualTool } from "@/core/facts/settings";
import { bearerOf, restsDryOn, type Bearer } from "@/core/suitability/bearer";
import { helpersOn } from "@/core/case/helpersOn";
import { today, type Context } from "../context";
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
): Bearer {
  const home = homeOf(collection);
  const bearer = bearerOf(plant, standing(reactions), on, collection.hemisphere, home);
  const { sensitivities } = bearer;
  const systemic = systemicIn(home, { sensitivities, outdoors });
  return { ...bearer, today: on, helpers: helpersOn(acts), enclosed, outdoors, ...(systemic && { systemic }) };
}

/** What of a plant and its keeper bears on what is done next. */
export function onPlant(context: Pick<Context, "collection" | "now">, record: KeptRecord): OnPlant {
  const day = today(context);
  const tool = usualTool(context.collection.owns);
  const [meanC] = record.warmth(day, day);
  const [humidity = null] = record.humidity(day, day);
  const rests = restsDryOn(record.plant, day, context.collection.hemisphere);
  return {
    bearer: bearerOn(context, record, day),
    tool,
    ...(meanC !== undefined && { now: { meanC, humidity, rests } }),
    everyDays: context.collection.everyDays,
    washes: washesOn(record.acts, day),
  };
}
