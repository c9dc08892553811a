"use client";

import { useMemo, useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/app/_parts/outbox";
import { useOutbox } from "@/app/_parts/useOutbox";
import type { RecordLook, SkipReason } from "@/core/facts/deeds";
import { progressOf, type WalkEvent } from "@/core/walk/progress";
import type { Stop, WalkView } from "@/operations/readWalk";
import { wallTime } from "@/wording/dates";
import { eventsOf } from "./events";

export type LookInput = Pick<RecordLook, "tool" | "note" | "finds" | "naming"> & {
  spots: readonly RecordLook["spots"][number][];
  turned: boolean;
  /** Wall time, where it is not now. */
  at?: string;
};

const TAKEN_BACK = "Taken back on the walk.";

/** A walk as it stands in this browser, and what can be done on it. Everything is kept first and sent as it goes. */
export function useWalk(view: WalkView, timeZone: string, nowMs: number) {
  // The server decides what is in the future: a telephone whose clock is fast must not be refused.
  const [fastBy] = useState(() => Date.now() - nowMs);
  const kept = useOutbox();
  const { walk, stops, places } = view;
  const placeIds = useMemo(() => places.map((place) => place.id), [places]);
  const events = useMemo(() => eventsOf(walk.id, view.events, kept), [walk.id, view.events, kept]);
  const progress = useMemo(() => progressOf(stops, placeIds, events), [stops, placeIds, events]);
  const at = () => wallTime(new Date(Date.now() - Math.max(0, fastBy)), timeZone);

  return {
    kept,
    events,
    progress,
    at,
    look(stop: Stop, { spots, ...input }: LookInput): string {
      const id = uuidv7();
      const look = { ...input, spots: [...spots], id, plantId: stop.id, walkId: walk.id, at: input.at ?? at() };
      outbox.add({ kind: "look", input: look });
      return id;
    },
    skip(stop: Stop, reason: SkipReason): void {
      outbox.add({ kind: "skip", input: { id: uuidv7(), walkId: walk.id, plantId: stop.id, reason, at: at() } });
    },
    /** Takes a look or a skip back; with a find, where the plant was set apart to because of it. */
    takeBack({ id, kind, plantId }: WalkEvent): void {
      const fact = kind === "skipped" ? "skip" : "look";
      outbox.add({ kind: "void", input: { kind: fact, factId: id, reason: TAKEN_BACK } });
      for (const { deed } of [...kept.sent, ...kept.waiting])
        if (deed.kind === "apart" && deed.input.plantId === plantId && deed.input.id > id)
          outbox.add({ kind: "void", input: { kind: "placement", factId: deed.input.id, reason: TAKEN_BACK } });
    },
    setApart(stop: Stop, placeId: string | null): void {
      outbox.add({ kind: "apart", input: { id: uuidv7(), plantId: stop.id, placeId, bagId: uuidv7(), at: at() } });
    },
    end(): void {
      outbox.add({ kind: "end", input: { walkId: walk.id } });
    },
  };
}

export type WalkInHand = ReturnType<typeof useWalk>;
