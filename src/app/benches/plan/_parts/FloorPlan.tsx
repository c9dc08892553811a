"use client";

import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import { useEffect, useState, type KeyboardEvent } from "react";
import Alert from "react-bootstrap/Alert";
import { arrangePlacesAction } from "@/app/_parts/actions";
import { FLOOR_PLAN_COLUMNS, FLOOR_PLAN_ROWS } from "@/core/record/facts/floorPlanSize";
import { arranged, type OnFloorPlan } from "@/core/record/facts/floorPlan";
import type { RoomOnFloorPlan } from "@/operations/places/queries/readFloorPlan";
import { useCollection } from "@/ui/shell/Collection";
import { RoomDrawn } from "./RoomDrawn";

/** A finger that is held down for so long lifts a room; a shorter one scrolls or presses. ms. */
const HELD_MS = 250;

const steps: Readonly<Record<string, readonly [column: number, row: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The rooms as they lie beside each other. They are carried by mouse and finger, and by the arrow keys; where another lies, the two change places. */
export function FloorPlan({ rooms }: { rooms: readonly RoomOnFloorPlan[] }) {
  const { id: collectionId } = useCollection();
  const [put, setPut] = useState<{
    readonly of: readonly RoomOnFloorPlan[];
    readonly plan: readonly OnFloorPlan[];
  } | null>(null);
  /** So many arrangements are on their way: until the last has arrived the page read anew is older than what is shown. */
  const [pending, setPending] = useState(0);
  const [wrong, setWrong] = useState<string | null>(null);
  const [said, setSaid] = useState("");
  const onTheWay = pending > 0;
  useAsksBeforeLeaving(onTheWay);
  const plan: readonly OnFloorPlan[] = put && (onTheWay || put.of === rooms) ? put.plan : rooms;
  // One row more than there is, to carry something down into.
  const lines = Math.min(FLOOR_PLAN_ROWS, Math.max(...plan.map(({ row }) => row)) + 2);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HELD_MS, tolerance: 8 } }),
  );
  const arrange = async (id: string, column: number, row: number) => {
    if (column < 0 || column >= FLOOR_PLAN_COLUMNS || row < 0 || row >= FLOOR_PLAN_ROWS) return;
    const next = arranged(plan, id, { column, row });
    setPut({ of: rooms, plan: next });
    setWrong(null);
    setSaid(`${rooms.find((room) => room.id === id)!.name}: column ${column + 1}, row ${row + 1}.`);
    const places = next.map((one) => ({ placeId: one.id, column: one.column, row: one.row }));
    setPending((many) => many + 1);
    const result = await arrangePlacesAction(collectionId, { places }).catch(() => null);
    setPending((many) => many - 1);
    if (result?.ok) return;
    setPut(null);
    setWrong(result?.problems.map(({ message }) => message).join(" ") ?? "It was not kept. Check the connection.");
  };
  const end = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    const [column, row] = String(over.id).split(" ").map(Number) as [number, number];
    void arrange(String(active.id), column, row);
  };
  const press = (event: KeyboardEvent, { id, column, row }: OnFloorPlan) => {
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    void arrange(id, column + step[0], row + step[1]);
  };
  return (
    <>
      <p className="small mb-2">
        Drag a room by its name to where it is; by keyboard, the arrow keys carry it. Press a shelf to see it.{" "}
        <strong>{onTheWay ? "Saving …" : said && !wrong && "Saved."}</strong>
      </p>
      {wrong && <Alert variant="danger">{wrong}</Alert>}
      <div aria-live="polite" className="visually-hidden">
        {said}
      </div>
      <DndContext id="plan" sensors={sensors} onDragEnd={end}>
        <div className="plan-scroll">
          <div className="plan" style={{ gridTemplateRows: `repeat(${lines - 1}, auto) 3rem` }}>
            {Array.from({ length: lines * FLOOR_PLAN_COLUMNS }, (_, i) => (
              <Cell key={i} column={i % FLOOR_PLAN_COLUMNS} row={Math.floor(i / FLOOR_PLAN_COLUMNS)} />
            ))}
            {rooms.map((room, i) => (
              <RoomDrawn key={room.id} room={room} at={plan[i]!} onKey={press} />
            ))}
          </div>
        </div>
      </DndContext>
    </>
  );
}

/** Presses go to the server one after the other: a page left between two of them would lose the later one, which is shown already. */
function useAsksBeforeLeaving(onTheWay: boolean) {
  useEffect(() => {
    if (!onTheWay) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [onTheWay]);
}

/** Where a room can be put. */
function Cell({ column, row }: { column: number; row: number }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${column} ${row}` });
  return (
    <div
      ref={setNodeRef}
      className={`plan-cell ${isOver ? "plan-over" : ""}`}
      style={{ gridColumn: column + 1, gridRow: row + 1 }}
    />
  );
}
