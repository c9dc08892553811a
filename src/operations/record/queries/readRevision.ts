import * as auditLog from "@/db/stores/access/auditLog";
import { scopeOf, type Context } from "../../shared/context";

/** What was done with the collection last, as a mark to compare: it is another one when anything has been done since. */
export async function readRevision(context: Context): Promise<string> {
  return (await auditLog.last(scopeOf(context, "see"), context.collection.id)) ?? "";
}
