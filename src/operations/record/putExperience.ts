import { createHash } from "node:crypto";
import { mergeExperiences, toldElsewhere } from "@/core/advice/learning/experience";
import { MOST_KEEPERS, type ExperienceFile } from "@/core/record/format/experienceFile";
import type { Scope } from "@/db/connection";
import * as collections from "@/db/stores/collections";

/** What a collection is called in experience files: tells one keeper from another, and nothing else. */
export function keeperCode(collectionId: string): string {
  return createHash("sha256").update(`experience ${collectionId}`).digest("hex").slice(0, 32);
}

/**
 * Adds to the experience that was read in, each keeper once and never the collection's own, since its record tells that already. False where
 * that would be more keepers than a file holds: nothing is kept then.
 */
export async function putExperience(scope: Scope, file: ExperienceFile): Promise<boolean> {
  const known = await collections.experience(scope, "locked");
  const merged = mergeExperiences(known ? [known, file] : [file]);
  const own = keeperCode(scope.collectionId);
  const kept = { ...merged, from: merged.from.filter(({ keeper }) => keeper !== own) };
  if (kept.from.length > MOST_KEEPERS) return false;
  if (kept.from.length > 0 && JSON.stringify(kept) !== JSON.stringify(known))
    await collections.putExperience(scope, kept, toldElsewhere(kept, own));
  return true;
}
