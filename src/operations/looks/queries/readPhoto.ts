import { idIn } from "@/core/shared/fields";
import * as photos from "@/db/stores/looks/photos";
import { scopeOf, type Context } from "../../shared/context";

/** A picture that was kept; null where there is none. */
export async function readPhoto(context: Context, asked: string): Promise<{ mediaType: string; bytes: Buffer } | null> {
  const id = idIn(asked);
  return id ? photos.bytesOf(scopeOf(context, "read"), id) : null;
}
