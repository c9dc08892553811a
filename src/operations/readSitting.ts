import type { Act } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import { ownStrength } from "@/core/household/bottles";
import { mixes } from "@/core/mixing/mixes";
import { isWork } from "@/core/planning/doses";
import { spotsFor } from "@/core/remedies/remedies";
import { usualTool } from "@/core/facts/settings";
import type { Bearer } from "@/core/suitability/bearer";
import { walkOrder } from "@/core/walk/order";
import { scopeOf, today, type Context } from "./context";
import { bearerOn } from "./parts/onPlant";
import { recordsOf } from "./parts/plantRecords";
import { readToday, type DueTreatment, type Sitting } from "./readToday";

/** One plant of a sitting, with everything that is needed at it, so that the next one waits for nothing. */
export interface SittingLine extends DueTreatment {
  readonly placeName: string;
  readonly bearer: Bearer;
  /** What is written down when it goes as planned. */
  readonly act: Act;
}

export interface SittingView {
  readonly what: Sitting["what"];
  readonly totalMl: number;
  /** In the order that spreads least. */
  readonly lines: readonly SittingLine[];
}

/** All that is due of one mix or one work, plant by plant; without lines when nothing is. */
export async function readSitting(context: Context, what: Sitting["what"]): Promise<SittingView> {
  const sitting = (await readToday(context)).sittings.find((one) => one.what === what);
  if (!sitting) return { what, totalMl: 0, lines: [] };
  // Whoever may see what is due sees the plants that are, and no others.
  const scope = scopeOf({ ...context, role: "reader" }, "read");
  const { records, places } = await recordsOf(scope, [...new Set(sitting.due.map(({ plant }) => plant.id))]);
  const day = today(context);
  const lines = sitting.due.flatMap((line): SittingLine[] => {
    const record = records.find(({ plant }) => plant.id === line.plant.id);
    if (!record) return [];
    const bearer = bearerOn(context, record, day);
    const placeName = places.find(({ id }) => id === line.plant.placeId)?.name ?? "";
    return [{ ...line, placeName, bearer, act: actOf(context, line, bearer) }];
  });
  const order = walkOrder(
    lines.map(({ plant }) => plant),
    places.map(({ id }) => id),
  ).map(({ id }) => id);
  return {
    what,
    totalMl: sitting.totalMl,
    lines: lines.toSorted((a, b) => order.indexOf(a.plant.id) - order.indexOf(b.plant.id)),
  };
}

/** What a planned step comes to on a plant, with the keeper's own bottle, lamp and loupe. */
function actOf({ collection }: Context, { planned, volumeMl }: DueTreatment, bearer: Bearer): Act {
  if (isWork(planned)) return workOf(planned.work).act(bearer);
  const { mix, technique } = planned;
  const strength = ownStrength(collection.bottles, mixes[mix].remedy);
  return {
    ...{ kind: "contact", mix, technique, volumeMl, spots: spotsFor(technique, bearer.form) },
    ...(technique === "dab" && { tool: usualTool(collection.owns) }),
    ...(strength !== null && { strength }),
  };
}
