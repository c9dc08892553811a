"use client";

import { useDraggable } from "@dnd-kit/core";
import { memo, type CSSProperties, type ReactNode } from "react";
import { Silhouette } from "@/ui/forms/Silhouettes";
import { Flower } from "@/ui/mark/Flower";
import { percent } from "@/wording/advice/chances";
import { stateInWords } from "@/wording/names/states";
import { besides, type ShelfPlant } from "./shelves";

/** What is drawn of a plant: its flower, its silhouette, its code and name. */
export function PotPicture({ plant, shaded }: { plant: ShelfPlant; shaded: boolean }) {
  return (
    <>
      <Flower state={plant.state} petals={plant.petals} apart={plant.apart} size="small" silent />
      <Silhouette form={plant.form} />
      <b>{plant.code}</b>
      <span className="pot-name">{shaded && plant.carries !== null ? percent(plant.carries) : plant.name}</span>
    </>
  );
}

const shade = (plant: ShelfPlant, shaded: boolean): CSSProperties =>
  // The square root: of small chances the differences show too.
  (shaded && plant.carries !== null ? { "--carries": Math.sqrt(plant.carries) } : {}) as CSSProperties;

const label = (plant: ShelfPlant, shaded: boolean) =>
  `${plant.code} ${plant.name}: ${stateInWords(plant.state, plant.petals, plant.apart, plant.beside && besides[plant.beside])}${
    shaded && plant.carries !== null ? `, ${percent(plant.carries)} may carry something` : ""
  }`;

/** A plant that only stands there: before the page can do anything. */
export function StandingPot({ plant }: { plant: ShelfPlant }) {
  return (
    <li className="pot">
      <a href={`/plants/${plant.id}`} className="pot-press" title={label(plant, false)}>
        <PotPicture plant={plant} shaded={false} />
      </a>
    </li>
  );
}

interface Props {
  readonly plant: ShelfPlant;
  readonly shaded: boolean;
  readonly onPress: (plant: ShelfPlant) => void;
  /** Whether the gap before it is where something would be put. */
  readonly gap: boolean;
}

/** A plant that can be pressed for its card and carried: by mouse, by finger held down, by the space bar and the arrows. */
export const Pot = memo(function Pot({ plant, shaded, onPress, gap }: Props): ReactNode {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: plant.id, data: { plant } });
  return (
    <li
      ref={setNodeRef}
      data-plant={plant.id}
      className={`pot ${isDragging ? "pot-lifted" : ""} ${gap ? "pot-gap" : ""} ${shaded ? "pot-shaded" : ""}`}
      style={shade(plant, shaded)}
    >
      <button
        type="button"
        className="pot-press"
        aria-label={label(plant, shaded)}
        aria-describedby="how-to-move"
        onClick={() => onPress(plant)}
        {...listeners}
      >
        <PotPicture plant={plant} shaded={shaded} />
      </button>
    </li>
  );
});
