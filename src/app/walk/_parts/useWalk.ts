"use client";

import { useMemo } from "react";
import { v7 as uuidv7 } from "uuid";
import type { Label } from "@/offline/entries";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";
import type { RecordLook } from "@/core/record/facts/kinds/look";
import type { SkipReason } from "@/core/record/facts/kinds/skip";
import { progressOf, type WalkEvent } from "@/core/advice/walks/progress";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";
import { eventsOf } from "@/offline/walkEvents";

export type LookInput = Pick<RecordLook, "tool" | "note" | "finds" | "naming"> & {
  spots: readonly RecordLook["spots"][number][];
  turned: boolean;
  /** The moment with its offset, where it is not now. */
  at?: string;
};

const TAKEN_BACK = "Undone on the walk.";

/** A walk as it stands in this browser, and what can be done on it. Everything is kept first and sent as it goes. */
export function useWalk(view: WalkView) {
  const { id: collectionId, timeZone } = useCollection();
  const kept = useOutbox();
  const { walk, stops, places } = view;
  const placeIds = useMemo(() => places.map((place) => place.id), [places]);
  const events = useMemo(() => eventsOf(walk.id, view.events, kept), [walk.id, view.events, kept]);
  const progress = useMemo(() => progressOf(stops, placeIds, events), [stops, placeIds, events]);
  const at = () => withOffset(new Date(), timeZone);
  const label = (stop: Pick<Stop, "code" | "name"> | null, byClock: boolean): Label => ({
    collectionId,
    about: stop ? `${stop.code} ${stop.name}` : "",
    byClock,
  });
  const stopOf = (plantId: string) => stops.find((stop) => stop.id === plantId) ?? null;

  return {
    kept,
    events,
    progress,
    /** Whether an event was pressed on this page. */
    isOwn: ({ id }: WalkEvent) =>
      [...kept.sent, ...kept.held].some(({ deed }) => "id" in deed.input && deed.input.id === id),
    look(stop: Stop, { spots, ...input }: LookInput): string {
      const id = uuidv7();
      const look = { ...input, spots: [...spots], id, plantId: stop.id, walkId: walk.id, at: input.at ?? at() };
      outbox.add({ kind: "look", input: look }, label(stop, input.at === undefined));
      return id;
    },
    skip(stop: Stop, reason: SkipReason): void {
      const input = { id: uuidv7(), walkId: walk.id, plantId: stop.id, reason, at: at() };
      outbox.add({ kind: "skip", input }, label(stop, true));
    },
    /** Takes a look or a skip back; with a find, where the plant was set apart to because of it. */
    takeBack({ id, kind, plantId }: WalkEvent): void {
      const stop = stopOf(plantId);
      for (const { deed } of [...kept.sent, ...kept.held])
        if (deed.kind === "apart" && deed.input.plantId === plantId && deed.input.id > id) {
          const input = { kind: "placement" as const, factId: deed.input.id, reason: TAKEN_BACK };
          outbox.add({ kind: "void", input }, label(stop, false));
        }
      const fact = kind === "skipped" ? "skip" : "look";
      outbox.add({ kind: "void", input: { kind: fact, factId: id, reason: TAKEN_BACK } }, label(stop, false));
    },
    setApart(stop: Stop, placeId: string | null): void {
      const input = { id: uuidv7(), plantId: stop.id, placeId, bagId: uuidv7(), at: at() };
      outbox.add({ kind: "apart", input }, label(stop, true));
    },
    /** Hands and tools are clean: what was touched before carries nothing on. */
    cleaned(): void {
      outbox.add({ kind: "cleaned", input: { id: uuidv7(), walkId: walk.id, at: at() } }, label(null, true));
    },
    end(): void {
      outbox.add({ kind: "end", input: { walkId: walk.id } }, label(null, false));
    },
  };
}

export type WalkInHand = ReturnType<typeof useWalk>;
