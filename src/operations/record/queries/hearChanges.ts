import { onChange, type Change } from "@/db/changes";
import { may } from "@/core/access/roles";
import { NotAllowed, type Context } from "../../shared/context";

/**
 * Hears of what is done with a collection, in whichever process, until the function that is given back is called; null when something
 * may have been missed. Throws {@link NotAllowed} for whoever may not see it.
 */
export function hearChanges(
  databaseUrl: string,
  { role, collection }: Pick<Context, "role" | "collection">,
  hears: (change: Change | null) => void,
): () => void {
  if (!may(role, "see")) throw new NotAllowed(role, "see");
  return onChange(databaseUrl, (change) => {
    if (!change || change.collectionId === collection.id) hears(change);
  });
}
