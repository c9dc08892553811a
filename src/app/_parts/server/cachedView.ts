import "server-only";
import { cache } from "react";
import type { Context } from "@/operations/shared/context";
import { kept } from "./pageCache";

/** Of one request: from when the oldest view is that stands in for one that could not be read; null while all are of now. */
export const standingIn = cache((): { since: { readonly at: Date; readonly timeZone: string } | null } => ({
  since: null,
}));

/**
 * The one way in which a page reads what it shows of a collection: while the database does not answer, as it was read last. `name` says
 * what it is and of what, apart from all others of the collection; what one role was shown is never shown to another. From when it then
 * is stands on the page by `AsOf`.
 */
export async function cachedView<T>({ collection, role }: Context, name: string, read: () => Promise<T>): Promise<T> {
  const { view, asOf } = await kept(`${collection.id} ${role} ${name}`, read);
  const oldest = standingIn();
  if (asOf && (!oldest.since || asOf < oldest.since.at)) oldest.since = { at: asOf, timeZone: collection.timeZone };
  return view;
}
