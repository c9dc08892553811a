import type { Case } from "@/core/record/cases/cases";
import type { Day } from "@/core/shared/days";
import * as cases from "@/db/stores/cases/cases";
import { dayOf, scopeOf, type Context } from "../../shared/context";

/** Another plant with the same pest. */
export interface AlikeCase {
  readonly caseId: string;
  readonly code: string;
  readonly name: string;
  readonly placeName: string;
  readonly since: Day;
}

const MOST = 60;

/** Other plants with an open case of the same pest, those at the same place first: one plan may serve them all, each judged alone. */
export async function readAlike(context: Context, found: Case, placeId: string): Promise<readonly AlikeCase[]> {
  const all = await cases.alike(scopeOf(context, "read"), { id: found.id, pest: found.pest, placeId }, MOST);
  return all.map(({ id, code, name, place, openedAt }) => ({
    ...{ caseId: id, code, name, placeName: place },
    since: dayOf(context, openedAt),
  }));
}
