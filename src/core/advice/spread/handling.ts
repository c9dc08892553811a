import { HANDLED_WITHIN_MINUTES } from "../../model/carriage/rates";

/** Something was done to a plant with hands, or they were cleaned (`plantId` null). Ordered as they happened. */
export interface Handling {
  readonly plantId: string | null;
  readonly keeper: string;
  readonly at: Date;
}

/** A plant was handled after another, nothing cleaned between. */
export interface HandledAfter {
  readonly plantId: string;
  readonly sourceId: string;
  readonly at: Date;
}

const WITHIN_MS = HANDLED_WITHIN_MINUTES * 60_000;

/**
 * Which plants were handled after which: by the same keeper, within half an hour, with no cleaning between. Of a plant that was
 * handled more than once in that time the last counts. `infested` says which plants count as sources at a moment.
 */
export function handledAfter(
  handlings: readonly Handling[],
  infested: (plantId: string, at: Date) => boolean,
): HandledAfter[] {
  const lately = new Map<string, Map<string, Date>>();
  const after: HandledAfter[] = [];
  for (const { plantId, keeper, at } of handlings) {
    const dirty = lately.get(keeper) ?? new Map<string, Date>();
    lately.set(keeper, dirty);
    if (plantId === null) {
      dirty.clear();
      continue;
    }
    for (const [sourceId, touchedAt] of dirty) {
      if (at.getTime() - touchedAt.getTime() > WITHIN_MS) dirty.delete(sourceId);
      else if (sourceId !== plantId) after.push({ plantId, sourceId, at });
    }
    if (infested(plantId, at)) dirty.set(plantId, at);
  }
  return after;
}
