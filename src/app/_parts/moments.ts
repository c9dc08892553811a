import "server-only";
import type { Context } from "@/operations/shared/context";
import { withOffset } from "@/zones";

/** This moment with the collection's offset, as forms begin with it. */
export function momentNow({ now, collection }: Context): string {
  return withOffset(now, collection.timeZone);
}
