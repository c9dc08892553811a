import { recordOfSigns, type SignRecord } from "@/core/advice/diagnosis/compare";
import * as looks from "@/db/stores/looks/looks";
import { scopeOf, type Context } from "../../shared/context";

export interface SignsView {
  readonly records: readonly SignRecord[];
  /** Looks at which signs were looked for. */
  readonly looks: number;
  /** Those in which the keeper named another pest than the signs spoke for. */
  readonly overruled: number;
  /** There are more looks than were gone through: the newest count. */
  readonly cut: boolean;
}

/** So many of the newest looks count; more would not change what they say. */
const NEWEST = 5000;

/** What the keeper's own finds say about the table of signs. */
export async function readSigns(context: Context): Promise<SignsView> {
  const all = await looks.withNaming(scopeOf(context, "read"), NEWEST);
  const named = all.filter(({ naming }) => naming.present.length + naming.absent.length > 0);
  return {
    records: recordOfSigns(named),
    looks: named.length,
    overruled: named.filter(({ naming }) => naming.by === "keeper").length,
    cut: all.length === NEWEST,
  };
}
