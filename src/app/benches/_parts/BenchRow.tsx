"use client";

import { useRouter } from "next/navigation";
import { useSyncExternalStore, type MouseEvent } from "react";
import type { PlantCard } from "@/core/state/plantCard";
import { Flower } from "@/ui/mark/Flower";
import { stateInWords } from "@/wording/states";

export type BenchPlant = Pick<PlantCard, "id" | "code" | "name" | "state" | "petals" | "apart">;

const never = () => () => {};

/**
 * The plants of one place as they stand. Thousands may stand on one page: they travel as plain data and their links as
 * plain anchors, with one handler for all of them; and those far down (`when` is "after") are drawn by the browser once
 * the page is there, so that nobody waits for them.
 */
export function BenchRow({ plants, when }: { plants: readonly BenchPlant[]; when: "at once" | "after" }) {
  const router = useRouter();
  const drawn = useSyncExternalStore(
    never,
    () => true,
    () => when === "at once",
  );
  const go = (event: MouseEvent) => {
    const anchor = (event.target as Element).closest("a");
    if (!anchor || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    router.push(anchor.pathname);
  };
  return (
    <ul
      className="bench"
      onClick={go}
      style={drawn ? undefined : { minHeight: `${Math.ceil(plants.length / 5) * 4.5}rem` }}
    >
      {(drawn ? plants : []).map(({ id, code, name, state, petals, apart }) => (
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
