import { ruleOf } from "@/core/advice/clearance/clearing";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as assessments from "@/db/stores/cases/assessments";
import { scopeOf, today, type Context } from "../../shared/context";
import { judgedNow } from "../judgements";
import { cardOf } from "../../plants/plantCard";
import { recordsOf } from "../../plants/plantRecords";

/** A case that is likely over. */
export interface LikelyOver {
  readonly caseId: string;
  readonly pest: PestId;
  readonly plant: PlantCard;
  /** Whether the whole rule is met: it may be called clear. */
  readonly met: boolean;
}

/** The open cases that are as sure to be over as the keeper wants, by code; those that may be called clear among them. */
export async function readClearable(context: Context): Promise<readonly LikelyOver[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const target = context.collection.clearPercent / 100;
  const sure = await assessments.sureOf(scope, judgedNow(context), target);
  if (sure.length === 0) return [];
  const { records } = await recordsOf(scope, [...new Set(sure.map(({ plantId }) => plantId))]);
  return sure.flatMap(({ caseId, plantId }): LikelyOver[] => {
    const record = records.find(({ plant }) => plant.id === plantId);
    const found = record?.cases.find(({ id }) => id === caseId);
    if (!record || !found) return [];
    // That it is sure enough is known already.
    const { met } = ruleOf(found, record, record.warmth, day, null);
    return [{ caseId, pest: found.pest, plant: cardOf(record.listed, day), met }];
  });
}
