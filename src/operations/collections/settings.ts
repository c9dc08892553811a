import type { Scope } from "@/db/connection";
import * as collections from "@/db/stores/collections";
import type { Context } from "../shared/context";

/**
 * Whether the settings that something was reckoned by still hold; they do until the transaction ends. What was reckoned by others is
 * not kept: whoever changed them has asked for it anew. Of a collection that was removed meanwhile nothing is kept either.
 */
export async function stillHolds({ collection }: Pick<Context, "collection">, scope: Scope): Promise<boolean> {
  return (await collections.hold(scope))?.settingsVersion === collection.settingsVersion;
}
