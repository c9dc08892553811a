import { doseOf, nextTreatment, planInForce } from "@/core/case/plans";
import { placesInRecord } from "@/core/case/record";
import { byCode } from "@/core/plants/codes";
import { idIn } from "@/core/fields";
import { groupBy } from "@/core/groupBy";
import { isKnownPest, type PestId } from "@/core/pests/pests";
import type { SessionPlant } from "@/core/session/session";
import type { PlantCard } from "@/core/state/plantCard";
import { together } from "@/db/query";
import * as cases from "@/db/stores/cases";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { bearerOn } from "./parts/onPlant";
import { cardOf } from "./parts/plantCard";
import { recordsOf } from "./parts/plantRecords";

/** Which plants a session is for. */
export type GroupAsked =
  | { readonly who: "place"; readonly id: string }
  | { readonly who: "pest"; readonly pest: PestId }
  | { readonly who: "atRisk" | "apart" };

export interface GroupPlant extends SessionPlant {
  readonly card: PlantCard;
  readonly placeName: string;
}

export interface GroupView {
  readonly plants: readonly GroupPlant[];
  /** How many there are in all, where that is more than are read. */
  readonly all: number;
  readonly places: readonly { readonly id: string; readonly name: string; readonly plants: number }[];
  readonly pests: readonly { readonly pest: PestId; readonly plants: number }[];
}

/** A session has so many plants at most. */
const MOST = 200;

/** Reads what an address asks for; null for nothing. */
export function groupAsked(who: unknown, id: unknown): GroupAsked | null {
  if (who === "atRisk" || who === "apart") return { who };
  if (who === "pest" && typeof id === "string" && isKnownPest(id)) return { who, pest: id };
  const place = who === "place" && typeof id === "string" ? idIn(id) : null;
  return place ? { who: "place", id: place } : null;
}

/** The plants of a session with all that bears on what is done to them, and the groups that may be chosen. */
export async function readGroup(context: Context, asked: GroupAsked | null): Promise<GroupView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [listed, open, all] = await together(
    scope,
    () => plantStates.list(scope),
    () => cases.open(scope),
    () => places.all(scope),
  );
  const { isWithin } = placesInRecord(all);
  const infested = groupBy(open, ({ pest }) => pest);
  const belongs = (row: plantStates.ListedPlant): boolean => {
    switch (asked?.who) {
      case "place":
        return isWithin(row.placeId, asked.id);
      case "pest":
        return infested.get(asked.pest)?.some(({ plantId }) => plantId === row.id) ?? false;
      case "atRisk":
        return row.state === "atRisk";
      case "apart":
        return row.apart;
      case undefined:
        return false;
    }
  };
  const chosen = listed.filter(belongs).toSorted((a, b) => byCode(a.code, b.code));
  const taken = chosen.slice(0, MOST);
  const ids = taken.map(({ id }) => id);
  const { records } = ids.length > 0 ? await recordsOf(scope, ids) : { records: [] };
  const standing = [...groupBy(listed, ({ placeId }) => placeId)].map(
    ([placeId, there]) => [placeId, there.length] as const,
  );
  const byId = new Map(records.map((record) => [record.plant.id, record]));
  const names = new Map(all.map(({ id, name }) => [id, name]));
  return {
    plants: taken.flatMap((row): GroupPlant[] => {
      const record = byId.get(row.id);
      if (!record) return [];
      return [
        {
          ...{ plantId: row.id, code: row.code, bearer: bearerOn(context, record, day), card: cardOf(row, day) },
          cases: record.cases.flatMap((found) => {
            if (!found.open) return [];
            const plan = planInForce(found, record.cases, record);
            const next = plan && nextTreatment(plan);
            const due = next?.dose && next.dueOn <= day ? { stepId: next.id, dose: doseOf(next.dose) } : null;
            return [{ caseId: found.id, pest: found.pest, due }];
          }),
          placeName: names.get(row.placeId) ?? "",
        },
      ];
    }),
    all: chosen.length,
    places: all
      .map(({ id, name }) => ({
        ...{ id, name },
        plants: standing.reduce((sum, [placeId, n]) => sum + (isWithin(placeId, id) ? n : 0), 0),
      }))
      .filter(({ plants }) => plants > 0),
    pests: [...infested].map(([pest, some]) => ({ pest, plants: new Set(some.map(({ plantId }) => plantId)).size })),
  };
}
