import type { OutboxState } from "./outbox";
import { madeAtMs, type WalkEvent } from "@/core/advice/walks/progress";

/**
 * Every event of a walk as far as this page knows: what the server gave, and what was pressed since or by an earlier page of
 * this browser, without what was taken back or refused.
 */
export function eventsOf(
  walkId: string,
  given: readonly WalkEvent[],
  { held, sent }: Pick<OutboxState, "held" | "sent">,
): WalkEvent[] {
  const events = new Map(given.map((event) => [event.id, event]));
  const deeds = [...sent, ...held.filter((one) => one.state !== "refused")].map((entry) => entry.deed);
  for (const deed of deeds) {
    if (deed.kind !== "look" && deed.kind !== "skip") continue;
    const { id, plantId } = deed.input;
    if (deed.input.walkId !== walkId || events.has(id)) continue;
    const kind = deed.kind === "skip" ? "skipped" : deed.input.finds.length > 0 ? "found" : "clean";
    events.set(id, { id, plantId, kind, atMs: madeAtMs(id) });
  }
  for (const deed of deeds) if (deed.kind === "void") events.delete(deed.input.factId);
  return [...events.values()];
}
