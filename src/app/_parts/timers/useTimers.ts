"use client";

import { useEffect, useMemo, useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { shownAt } from "@/core/acts/timers";
import type { TimerId } from "@/core/acts/timerIds";
import type { ShownTimer } from "@/operations/acts/queries/readTimers";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";

const MINUTE_MS = 60_000;
const TICK_MS = 5000;

/** Timers as they stand in this browser: those the server knows, those that were started here, without those that were ended here. */
export function useTimers(known: readonly ShownTimer[]): {
  readonly timers: readonly ShownTimer[];
  readonly now: Date;
} {
  const { id: collectionId } = useCollection();
  const { held, sent } = useOutbox();
  const now = useNow();
  const timers = useMemo(() => {
    const here = [...sent, ...held.filter(({ state }) => state !== "refused")];
    const deeds = here.filter((entry) => entry.collectionId === collectionId);
    const ended = new Set(deeds.flatMap(({ deed }) => (deed.kind === "timerEnd" ? [deed.input.timerId] : [])));
    const own = deeds.flatMap(({ deed, about }): ShownTimer[] => {
      if (deed.kind !== "timer") return [];
      const { id, plantId, what, minutes, at } = deed.input;
      const startedAt = new Date(String(at));
      const endsAt = new Date(startedAt.getTime() + Number(minutes) * MINUTE_MS);
      return [{ id, plantId: plantId ?? null, what, startedAt, endsAt, code: about.split(" ")[0] || null }];
    });
    const all = new Map([...own, ...known].map((one) => [one.id, one]));
    return [...all.values()].filter(({ id }) => !ended.has(id));
  }, [held, sent, known, collectionId]);
  return { timers: shownAt(timers, now), now };
}

/** The time, every few seconds; and at once when a page that slept is seen again. */
function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const tell = () => setNow(new Date());
    const ticking = setInterval(tell, TICK_MS);
    document.addEventListener("visibilitychange", tell);
    return () => {
      clearInterval(ticking);
      document.removeEventListener("visibilitychange", tell);
    };
  }, []);
  return now;
}

/** Starts and ends timers; both are kept here first and sent when they can be. */
export function useTimerCommands() {
  const { id: collectionId, timeZone } = useCollection();
  const at = () => withOffset(new Date(), timeZone);
  return {
    start(what: TimerId, minutes: number, plant: { readonly id: string; readonly code: string } | null): string {
      const id = uuidv7();
      const label = { collectionId, about: plant?.code ?? "", byClock: true };
      outbox.add({ kind: "timer", input: { id, plantId: plant?.id ?? null, what, minutes, at: at() } }, label);
      return id;
    },
    end(timerId: string): void {
      outbox.add({ kind: "timerEnd", input: { timerId, at: at() } }, { collectionId, about: "", byClock: true });
    },
  };
}
