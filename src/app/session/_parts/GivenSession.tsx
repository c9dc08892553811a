"use client";

import { useState } from "react";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { goingOn, type SessionStep } from "@/core/advice/sessions/session";
import type { GivenStepId } from "@/operations/sessions/sessionView";
import { givenStepInWords } from "@/wording/advice/seasons/seasons";
import { RunSession, type RunProps } from "./RunSession";

/**
 * A session of which it is known what is done: what plans ask for, on the way in for winter, in a round of prevention. What is pressed in it
 * is asked for no more once it has arrived; here it stays, to be taken back.
 */
export function GivenSession({
  steps: asked,
  plants: theirs,
  ...rest
}: RunProps & { steps: readonly SessionStep<GivenStepId>[] }) {
  const [{ from, steps, plants }, setShown] = useState({ from: asked, steps: asked, plants: theirs });
  const [pressed, setPressed] = useState<readonly (readonly string[])[]>([]);
  if (from !== asked) {
    const known = new Map([...plants, ...theirs].map((plant) => [plant.plantId, plant]));
    const isPressed = (step: string, plantId: string) => pressed.flat().includes(`${step} ${plantId}`);
    const shown = goingOn(steps, asked, isPressed);
    const left = new Set(shown.flatMap(({ lines }) => lines.map(({ plantId }) => plantId)));
    setShown({ from: asked, steps: shown, plants: [...known.values()].filter(({ plantId }) => left.has(plantId)) });
  }
  if (steps.length === 0)
    return (
      <>
        <NotSentYet />
        <p>Nothing is due here now.</p>
      </>
    );
  return (
    <RunSession
      steps={steps.map((step) => ({ ...step, ...givenStepInWords(step.id) }))}
      plants={plants}
      onWrite={(ticked) => setPressed((all) => [...all, ticked.map(({ step, line }) => `${step.id} ${line.plantId}`)])}
      onUndo={() => setPressed((all) => all.slice(0, -1))}
      {...rest}
    >
      {null}
    </RunSession>
  );
}
