"use client";

import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/app/_parts/outbox";
import type { SessionLine } from "@/core/session/session";
import type { GroupPlant } from "@/operations/readGroup";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";

/** What was pressed last: the facts that were written down, by plant. */
export interface Written {
  readonly facts: readonly { readonly plantId: string; readonly factId: string }[];
}

/** What is pressed is kept in this browser first and sent as it goes: one fact for each plant, taken back together. */
export function useGroup(plants: readonly GroupPlant[]) {
  const { id: collectionId, timeZone } = useCollection();
  const [written, setWritten] = useState<readonly Written[]>([]);
  const aboutOf = (plantId: string) => {
    const plant = plants.find((one) => one.plantId === plantId);
    return plant ? `${plant.code} ${plant.card.name}` : "";
  };
  /** `at` is when it was, as the keeper says; null: now. */
  const write = (lines: readonly SessionLine[], at: string | null, note: string) => {
    const now = withOffset(new Date(), timeZone);
    const facts = lines.map(({ plantId, act, caseId, stepId }) => {
      const id = uuidv7();
      const input = { id, plantId, placeId: null, caseId, stepId, act, at: at ?? now, note, alreadyDone: false };
      outbox.add({ kind: "act", input }, { collectionId, about: aboutOf(plantId), byClock: at === null });
      return { plantId, factId: id };
    });
    setWritten((all) => [...all, { facts }]);
  };
  const undo = () => {
    for (const { plantId, factId } of written.at(-1)?.facts ?? [])
      outbox.add(
        { kind: "void", input: { kind: "act", factId, reason: "Taken back." } },
        { collectionId, about: aboutOf(plantId), byClock: false },
      );
    setWritten((all) => all.slice(0, -1));
  };
  const done = new Set(written.flatMap(({ facts }) => facts.map(({ plantId }) => plantId)));
  return { done, last: written.at(-1) ?? null, write, undo };
}
