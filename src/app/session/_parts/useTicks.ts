import { useState } from "react";
import { doneIn, type DoneAlready, type SessionLine } from "@/core/advice/sessions/session";
import { toggled } from "@/ui/toggled";
import type { NamedStep, Ticked } from "./Rows";

const keyOf = (step: NamedStep, { plantId }: SessionLine) => `${step.id} ${plantId}`;

/**
 * Which plants of which steps the next press is for: whoever has had it already, or need not have it, has it when that is asked for;
 * everyone else unless they are taken out. The two are told apart, so that what another keeper does meanwhile turns nobody's word round.
 */
export function useTicks(steps: readonly NamedStep[], record: ReadonlyMap<string, DoneAlready>) {
  const [out, setOut] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<readonly string[]>([]);
  const done = doneIn(steps, record);
  const isDone = (i: number, { plantId }: SessionLine) => done[i]!.has(plantId);
  const isAsked = (i: number, line: SessionLine) =>
    isDone(i, line) || steps[i]!.optional === true || line.label.length > 0;
  const isTicked = (i: number, line: SessionLine) => {
    const key = keyOf(steps[i]!, line);
    return !line.refused && (isAsked(i, line) ? asked.includes(key) : !out.includes(key));
  };
  const among = (takes: (i: number, line: SessionLine) => boolean): readonly Ticked[] =>
    steps.flatMap((step, i) => step.lines.filter((line) => takes(i, line)).map((line) => ({ step, line })));
  return {
    done,
    isDone,
    isTicked,
    toggle(i: number, line: SessionLine): void {
      (isAsked(i, line) ? setAsked : setOut)((all) => toggled(all, keyOf(steps[i]!, line)));
    },
    ticked: among(isTicked),
    /** What is still to be done where somebody stands at the plant: what a label is against is told there, and left to the keeper. */
    toGo: among((i, line) => !isDone(i, line) && !line.refused && !out.includes(keyOf(steps[i]!, line))),
    /** What was pressed is not asked for a second time by itself. */
    written(some: readonly Ticked[]): void {
      const keys = new Set(some.map(({ step, line }) => keyOf(step, line)));
      setAsked((all) => all.filter((key) => !keys.has(key)));
    },
  };
}

export type Ticks = ReturnType<typeof useTicks>;
