"use client";

import {
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
} from "@dnd-kit/core";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { movePlantAction, voidFactAction } from "@/app/_parts/actions";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";
import { byArrows } from "./byArrows";
import { moved, spotAt, type Row, type ShelfPlant, type Spot } from "./shelves";

/** A finger that is held down for so long lifts a plant; a shorter one scrolls or presses. ms. */
const HELD_MS = 250;

type Said = { readonly text: string; readonly wrong: boolean; readonly undo: string | null } | null;

/** Carrying plants within and between shelves, by mouse, by finger and by keyboard: what is lifted, where it would stand, what became of it. */
export function useCarrying(given: readonly Row[]) {
  const router = useRouter();
  const { id: collectionId, timeZone } = useCollection();
  // What was moved here stands until the page has been read anew.
  const [shifted, setShifted] = useState<{ readonly of: readonly Row[]; readonly rows: readonly Row[] } | null>(null);
  const rows = shifted?.of === given ? shifted.rows : given;
  const [lifted, setLifted] = useState<ShelfPlant | null>(null);
  const [spot, setSpot] = useState<Spot | null>(null);
  const [said, setSaid] = useState<Said>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HELD_MS, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: byArrows,
      keyboardCodes: { start: ["Space"], cancel: ["Escape"], end: ["Space", "Enter"] },
    }),
  );

  const nameOf = (id: string) => {
    for (const row of rows) if (row.kind === "shelf" && row.shelf.id === id) return row.shelf.name;
    return "";
  };
  const codeOf = (id: string) =>
    rows.flatMap((row) => (row.kind === "shelf" ? row.shelf.plants : [])).find((plant) => plant.id === id)?.code ?? "";
  const where = ({ shelfId, after }: Spot) =>
    after === "first" ? `at the front of ${nameOf(shelfId)}` : `behind ${codeOf(after)} on ${nameOf(shelfId)}`;

  const start = ({ active }: DragStartEvent) => {
    setLifted((active.data.current as { plant: ShelfPlant }).plant);
    setSaid(null);
  };
  const move = ({ active }: DragMoveEvent) => {
    const box = active.rect.current.translated;
    if (!box) return;
    const next = spotAt(box.left + box.width / 2, box.top + box.height / 2, String(active.id));
    setSpot((last) => (last?.shelfId === next?.shelfId && last?.after === next?.after ? last : next));
  };
  const end = async ({ active }: DragEndEvent) => {
    const plant = (active.data.current as { plant: ShelfPlant }).plant;
    setLifted(null);
    setSpot(null);
    if (!spot || stoodAt(rows, plant.id, spot)) return;
    const before = rows;
    setShifted({ of: given, rows: moved(rows, plant.id, spot) });
    const command = { id: uuidv7(), plantId: plant.id, placeId: spot.shelfId, after: spot.after };
    const at = withOffset(new Date(), timeZone);
    const result = await movePlantAction(collectionId, { ...command, at }).catch(() => null);
    if (result?.ok) setSaid({ text: `${plant.code} stands ${where(spot)}.`, wrong: false, undo: command.id });
    else {
      setShifted({ of: given, rows: before });
      const why = result?.problems.map(({ message }) => message).join(" ") ?? "Check the connection.";
      setSaid({ text: `${plant.code} could not be moved. ${why}`, wrong: true, undo: null });
    }
  };
  const undo = async (factId: string) => {
    const command = { kind: "placement", factId, reason: "Undone on the benches." };
    const result = await voidFactAction(collectionId, command).catch(() => null);
    setSaid(
      result?.ok
        ? { text: "It is back where it was.", wrong: false, undo: null }
        : { text: "It could not be undone. Move it by hand.", wrong: true, undo: null },
    );
    if (result?.ok) {
      setShifted(null);
      router.refresh();
    }
  };
  const cancel = () => {
    setLifted(null);
    setSpot(null);
  };
  const handlers = {
    sensors,
    onDragStart: start,
    onDragMove: move,
    onDragEnd: (event: DragEndEvent) => void end(event),
    onDragCancel: cancel,
  };
  return { rows, lifted, spot, where, said, undo, handlers };
}

/** Whether a plant stands in that spot already. */
function stoodAt(rows: readonly Row[], plantId: string, { shelfId, after }: Spot): boolean {
  const shelf = rows.find((row) => row.kind === "shelf" && row.shelf.id === shelfId);
  if (shelf?.kind !== "shelf") return false;
  const ids = shelf.shelf.plants.map(({ id }) => id);
  const at = ids.indexOf(plantId);
  return at >= 0 && (at === 0 ? "first" : ids[at - 1]) === after;
}
