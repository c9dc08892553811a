import "server-only";
import { may } from "@/core/access/roles";
import { askerNow, contextFor } from "./context";
import { WHO_HEADER } from "@/offline/live";

/**
 * Whether a press that was kept in a browser is another person's than whoever sends it: somebody else has come in there meanwhile.
 * What names nobody was pressed while nobody had an account: whoever records there may send it. A page of an older build says nothing
 * at all, and is believed.
 */
export async function isAnothers(headers: Headers): Promise<boolean> {
  const who = headers.get(WHO_HEADER);
  if (who === null) return false;
  const asker = await askerNow();
  if (who !== "" || !asker) return who !== (asker?.accountId ?? "");
  const context = await contextFor({ collectionId: headers.get("x-collection"), device: "" });
  return context !== null && !may(context.role, "record");
}

export const another = {
  ok: false,
  another: true,
  problems: [{ path: "", message: "Someone else recorded this. It is sent when they sign in again." }],
} as const;
