"use client";

import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import type { Entry } from "@/offline/entries";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";
import { useTimerCommands } from "@/app/_parts/timers/useTimers";
import type { Act } from "@/core/acts/acts";
import type { TimerProposal } from "@/core/acts/timerIds";
import { timersAfterPress, type DoneAlready, type SessionLine } from "@/core/advice/sessions/session";
import type { GroupPlant } from "@/operations/sessions/sessionView";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** One fact that was written down here, or waits in this browser. */
interface WrittenFact {
  readonly factId: string;
  readonly kind: "act" | "look";
  readonly plantId: string;
  readonly act: Act | null;
}

/** What was pressed last: the facts that were written down, one for each plant and step. */
export interface Written {
  readonly facts: readonly WrittenFact[];
  /** What it was, in words. */
  readonly what: string;
  /** The timers that run for it, and those that may: practitioners disagree. */
  readonly running: readonly { readonly id: string; readonly what: TimerProposal["what"] }[];
  readonly offered: readonly TimerProposal[];
}

/** The fact that an entry of the outbox writes down of a plant; none for any other entry. */
function factIn({ deed }: Entry): readonly WrittenFact[] {
  if (deed.kind === "act" && deed.input.plantId)
    return [{ factId: deed.input.id, kind: "act", plantId: deed.input.plantId, act: deed.input.act as Act }];
  if (deed.kind === "look") return [{ factId: deed.input.id, kind: "look", plantId: deed.input.plantId, act: null }];
  return [];
}

/**
 * What is pressed is kept in this browser first and sent as it goes: one fact for each plant and step, taken back together. What waits
 * from an earlier opening of the page is done as well, and so is what the record holds.
 */
export function useGroup(plants: readonly GroupPlant[]) {
  const { id: collectionId, timeZone } = useCollection();
  const { held, sent, ready } = useOutbox();
  const timers = useTimerCommands();
  const [written, setWritten] = useState<readonly Written[]>([]);
  const aboutOf = (plantId: string) => {
    const plant = plants.find((one) => one.plantId === plantId);
    return plant ? `${plant.code} ${plant.card.name}` : "";
  };
  /** Starts a timer for what was written of these plants; of several it is one for all. */
  const startFor = (plantIds: readonly string[], { what, minutes }: TimerProposal) => {
    const [only, ...more] = [...new Set(plantIds)];
    const plant = more.length === 0 ? plants.find((one) => one.plantId === only) : undefined;
    return { id: timers.start(what, minutes, plant ? { id: plant.plantId, code: plant.code } : null), what };
  };
  /** `at` is when it was, as the keeper says; null: now, and what has to be waited for is timed. */
  const write = (what: string, lines: readonly SessionLine[], at: string | null, note: string) => {
    const moment = at ?? withOffset(new Date(), timeZone);
    const facts = lines.map(({ plantId, act, look, caseId, stepId }): WrittenFact => {
      const factId = uuidv7();
      const label = { collectionId, about: aboutOf(plantId), byClock: at === null };
      const every = { id: factId, plantId, at: moment, note };
      if (act) {
        const input = { ...every, placeId: null, caseId, stepId, act, alreadyDone: false };
        outbox.add({ kind: "act", input }, label);
      } else if (look) {
        const { tool, spots } = look;
        outbox.add({ kind: "look", input: { ...every, tool, spots: [...spots], finds: [] } }, label);
      }
      return { factId, kind: act ? "act" : "look", plantId, act };
    });
    const waits = at === null ? timersAfterPress(facts) : [];
    const ids = lines.map(({ plantId }) => plantId);
    const running = waits.filter(({ optional }) => !optional).map((one) => startFor(ids, one));
    setWritten((all) => [...all, { facts, what, running, offered: waits.filter(({ optional }) => optional) }]);
  };
  /** Starts a timer that does not start by itself, for what was written last. */
  const time = (proposed: TimerProposal) => {
    const last = written.at(-1);
    if (!last) return;
    const one = startFor(
      last.facts.map(({ plantId }) => plantId),
      proposed,
    );
    const offered = last.offered.filter(({ what }) => what !== proposed.what);
    setWritten([...written.slice(0, -1), { ...last, running: [...last.running, one], offered }]);
  };
  const undo = () => {
    for (const { plantId, kind, factId } of written.at(-1)?.facts ?? [])
      outbox.add(
        { kind: "void", input: { kind, factId, reason: "Taken back." } },
        { collectionId, about: aboutOf(plantId), byClock: false },
      );
    for (const { id } of written.at(-1)?.running ?? []) timers.end(id);
    setWritten((all) => all.slice(0, -1));
  };
  const takenBack = new Set(
    [...sent, ...held].flatMap(({ deed }) => (deed.kind === "void" ? [deed.input.factId] : [])),
  );
  // What the server would not take is not done: it stands above, to be mended or dropped.
  const refused = held.filter(({ state }) => state === "refused").flatMap(factIn);
  const notTaken = new Set([...takenBack, ...refused.map(({ factId }) => factId)]);
  const here = new Map(
    [...[...sent, ...held].flatMap(factIn), ...written.flatMap(({ facts }) => facts)].map((one) => [one.factId, one]),
  );
  const record = new Map(
    plants.map(({ plantId, lately }): [string, DoneAlready] => {
      const own = [...here.values()].filter((one) => one.plantId === plantId && !notTaken.has(one.factId));
      const known = lately.acts.filter(({ id }) => !takenBack.has(id) && !here.has(id)).map(({ act }) => act);
      return [
        plantId,
        {
          acts: [...known, ...own.flatMap(({ act }) => act ?? [])],
          looked: lately.looked || own.some(({ kind }) => kind === "look"),
        },
      ];
    }),
  );
  return { ready, record, last: written.at(-1) ?? null, pressed: written.length, write, undo, time };
}
