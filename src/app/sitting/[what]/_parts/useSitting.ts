"use client";

import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/offline/outbox";
import { useTimerCommands } from "@/app/_parts/timers/useTimers";
import { useOutbox } from "@/offline/useOutbox";
import { timersAfter, type Act } from "@/core/acts/acts";
import type { TimerProposal } from "@/core/acts/timerIds";
import type { SittingLine } from "@/operations/sessions/queries/readSitting";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** What was done in this browser at one plant: the act, and the timers that were started for it. */
export interface Done {
  readonly line: SittingLine;
  readonly act: Act;
  readonly actId: string;
  readonly timers: readonly { readonly id: string; readonly what: TimerProposal["what"] }[];
}

/**
 * A sitting as it stands in this browser. Every press is kept first and sent as it goes; what somebody else has carried out meanwhile
 * is no longer among `lines`, which are as they were read last.
 */
export function useSitting(lines: readonly SittingLine[]) {
  const { id: collectionId, timeZone } = useCollection();
  const { held, sent, ready } = useOutbox();
  const { start, end } = useTimerCommands();
  const [done, setDone] = useState<readonly Done[]>([]);
  // What was taken back is due again, also before the server has said so.
  const [again, setAgain] = useState<readonly SittingLine[]>([]);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const deeds = [...sent, ...held.filter(({ state }) => state !== "refused")].map(({ deed }) => deed);
  const takenBack = new Set(deeds.flatMap((deed) => (deed.kind === "void" ? [deed.input.factId] : [])));
  // What an earlier page left in the outbox counts too: a sitting that was broken off goes on where it was.
  const carriedOut = new Set(
    deeds.flatMap((deed) => (deed.kind === "act" && !takenBack.has(deed.input.id) ? [deed.input.stepId] : [])),
  );
  const isDone = ({ stepId }: SittingLine) => carriedOut.has(stepId) || done.some(({ line }) => line.stepId === stepId);
  const known = new Set(lines.map(({ stepId }) => stepId));
  const open = [...again.filter(({ stepId }) => !known.has(stepId)), ...lines].filter((line) => !isDone(line));
  const about = ({ plant }: SittingLine) => `${plant.code} ${plant.name}`;
  return {
    /** Whether it is known yet what an earlier page has done of it. */
    ready,
    toGo: open.filter(({ stepId }) => !left.has(stepId)),
    /** Left for later in this sitting; they stay due. */
    leftOut: open.filter(({ stepId }) => left.has(stepId)),
    done,
    carryOut(line: SittingLine, act: Act): void {
      const { plant, caseId, stepId } = line;
      const id = uuidv7();
      const at = withOffset(new Date(), timeZone);
      const filed = { plantId: plant.id, placeId: null, caseId, stepId };
      const input = { id, ...filed, act, at, note: "", alreadyDone: false };
      outbox.add({ kind: "act", input }, { collectionId, about: about(line), byClock: true });
      const needed = timersAfter(act).filter(({ optional }) => !optional);
      const timers = needed.map(({ what, minutes }) => ({ id: start(what, minutes, plant), what }));
      setAgain((all) => all.filter((one) => one.stepId !== stepId));
      setDone((all) => [...all, { line, act, actId: id, timers }]);
    },
    /** Starts a timer that is not started by itself, for what was done. */
    time(one: Done, { what, minutes }: TimerProposal): void {
      const timer = { id: start(what, minutes, one.line.plant), what };
      setDone((all) => all.map((each) => (each === one ? { ...one, timers: [...one.timers, timer] } : each)));
    },
    leaveOut: (line: SittingLine) => setLeft((all) => new Set([...all, line.stepId])),
    takeUp: () => setLeft(new Set()),
    /** Takes the last act back, with the timers that were started for it. */
    undo(): void {
      const last = done.at(-1);
      if (!last) return;
      const input = { kind: "act" as const, factId: last.actId, reason: "Undone in the session." };
      outbox.add({ kind: "void", input }, { collectionId, about: about(last.line), byClock: false });
      last.timers.forEach(({ id }) => end(id));
      setDone((all) => all.slice(0, -1));
      setAgain((all) => [last.line, ...all]);
    },
  };
}

export type SittingInHand = ReturnType<typeof useSitting>;
