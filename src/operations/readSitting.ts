import type { Context } from "./context";
import { readCase, type CaseView } from "./readCase";
import { readToday, type Sitting } from "./readToday";

/** What is due of one mix or one work, and the case of the plant whose turn it is; null when nothing is. */
export async function readSitting(
  context: Context,
  what: Sitting["what"],
): Promise<{ readonly sitting: Sitting; readonly view: CaseView } | null> {
  const sitting = (await readToday(context)).sittings.find((one) => one.what === what);
  const line = sitting?.due[0];
  // Whoever may see what is due sees the case that is, and no other.
  const view = line && (await readCase({ ...context, role: "reader" }, line.caseId));
  return sitting && view ? { sitting, view } : null;
}
