"use client";

import { useRouter } from "next/navigation";
import type { MouseEvent } from "react";
import type { PlantCard } from "@/core/facts/records";
import { Flower } from "@/ui/mark/Flower";
import { stateInWords } from "@/wording/states";

export type BenchPlant = Pick<PlantCard, "id" | "code" | "name" | "state" | "petals" | "apart">;

/**
 * The plants of one place as they stand. Thousands may stand on one page: they travel as plain data and their links as
 * plain anchors, with one handler for all of them.
 */
export function BenchRow({ plants }: { plants: readonly BenchPlant[] }) {
  const router = useRouter();
  const go = (event: MouseEvent) => {
    const anchor = (event.target as Element).closest("a");
    if (!anchor || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    router.push(anchor.pathname);
  };
  return (
    <ul className="bench" onClick={go}>
      {plants.map(({ id, code, name, state, petals, apart }) => (
        <li key={id}>
          <a href={`/plants/${id}`} title={`${name}: ${stateInWords(state, petals, apart)}`}>
            <Flower state={state} petals={petals} apart={apart} />
            <b>{code}</b>
            <span>{name}</span>
          </a>
        </li>
      ))}
    </ul>
  );
}
