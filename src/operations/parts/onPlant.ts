import { washesOn, type OnPlant } from "@/core/case/onPlant";
import type { PlantRecord } from "@/core/case/record";
import type { Day } from "@/core/climate/days";
import { standing } from "@/core/facts/facts";
import { usualTool } from "@/core/facts/settings";
import { bearerOf, type Bearer } from "@/core/suitability/bearer";
import { helpersOn } from "@/core/case/helpersOn";
import { today, type Context } from "../context";

/** A plant as remedies are weighed against it on a day. */
export function bearerOn(
  { collection }: Pick<Context, "collection">,
  { plant, reactions, acts, enclosed }: Pick<PlantRecord, "plant" | "reactions" | "acts" | "enclosed">,
  on: Day,
): Bearer {
  const { hemisphere, household, notAllowed } = collection;
  const bearer = bearerOf(plant, standing(reactions), on, hemisphere, { household, notAllowed });
  return { ...bearer, today: on, helpers: helpersOn(acts), enclosed };
}

/** What of a plant and its keeper bears on what is done next. */
export function onPlant(context: Pick<Context, "collection" | "now">, record: PlantRecord): OnPlant {
  const day = today(context);
  const tool = usualTool(context.collection.owns);
  return { bearer: bearerOn(context, record, day), tool, washes: washesOn(record.acts, day) };
}
