"use client";

import {
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
  type KeyboardCoordinateGetter,
} from "@dnd-kit/core";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useRouter } from "next/navigation";
import { useCallback, useLayoutEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { movePlantAction, voidFactAction } from "@/app/_parts/actions";
import { SilhouetteSprite } from "@/ui/forms/Silhouettes";
import { useCollection } from "@/ui/shell/Collection";
import { withOffset } from "@/zones";
import { BenchCard } from "./BenchCard";
import { PotPicture } from "./Pot";
import { ShelfRow } from "./ShelfRow";
import { ShelfNav } from "./ShelfNav";
import { useStanding } from "./useStanding";
import { useSwiped } from "./useSwiped";
import { moved, spotAt, unpackRows, type PackedRow, type Row, type ShelfPlant, type Spot } from "./shelves";

const never = () => () => {};
/** Up to so many plants stand on the page all together. */
const AT_ONCE = 300;
/** Of more than that so many stand there when it arrives, until it is known what is in sight. */
const AT_FIRST = 60;
const POT_WIDTH_PX = 92;
const POT_HEIGHT_PX = 132;
const HEADING_PX = 56;
const SHELF_PX = 44;
/** A finger that is held down for so long lifts a plant; a shorter one scrolls or presses. ms. */
const HELD_MS = 250;

type Said = { readonly text: string; readonly wrong: boolean; readonly undo: string | null } | null;

/** How high a row is before it has been measured. */
function guess(row: Row | undefined, width: number): number {
  if (!row || row.kind === "room") return HEADING_PX;
  const perLine = Math.max(1, Math.floor(width / POT_WIDTH_PX));
  return SHELF_PX + Math.max(1, Math.ceil(row.shelf.count / perLine)) * POT_HEIGHT_PX;
}

/** Arrow keys go from pot to pot: along the row, and to the shelf above or below. */
const byArrows: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const { active, collisionRect } = context;
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1 };
  const step = steps[event.code];
  if (step === undefined || !active || !collisionRect) return undefined;
  event.preventDefault();
  const middle = { x: collisionRect.left + collisionRect.width / 2, y: collisionRect.top + collisionRect.height / 2 };
  const along = event.code === "ArrowLeft" || event.code === "ArrowRight";
  const spot = spotAt(middle.x, middle.y, String(active.id));
  const to = along ? nextInRow(spot, String(active.id), step) : nextShelf(spot, step, middle.x);
  if (!to) return undefined;
  to.element.scrollIntoView({ block: "nearest" });
  return { x: currentCoordinates.x + (to.x() - middle.x), y: currentCoordinates.y + (to.y() - middle.y) };
};

/** A quarter of the way into a pot from its far side: what is let go there comes to stand behind it, or before it. */
function beside(element: Element, behind: boolean) {
  const box = () => element.getBoundingClientRect();
  return {
    element,
    x: () => box().left + box().width * (behind ? 0.75 : 0.25),
    y: () => box().top + box().height / 2,
  };
}

function nextInRow(spot: Spot | null, plantId: string, step: number) {
  const shelf = spot && document.querySelector(`[data-shelf="${spot.shelfId}"]`);
  if (!shelf) return null;
  const pots = [...shelf.querySelectorAll<HTMLElement>("[data-plant]")].filter(
    (pot) => pot.dataset["plant"] !== plantId,
  );
  const at = spot.after === "first" ? -1 : pots.findIndex((pot) => pot.dataset["plant"] === spot.after);
  const next = Math.min(pots.length - 1, at + step);
  if (pots.length === 0) return null;
  return next < 0 ? beside(pots[0]!, false) : beside(pots[next]!, true);
}

function nextShelf(spot: Spot | null, step: number, x: number) {
  const shelves = [...document.querySelectorAll<HTMLElement>("[data-shelf]")];
  const shelf = shelves[shelves.findIndex((one) => one.dataset["shelf"] === spot?.shelfId) + step];
  if (!shelf) return null;
  const pots = [...shelf.querySelectorAll("[data-plant]")];
  const off = (pot: Element) => Math.abs(pot.getBoundingClientRect().left - x);
  const nearest = pots.toSorted((a, b) => off(a) - off(b))[0];
  return nearest ? beside(nearest, true) : beside(shelf.querySelector("ul") ?? shelf, false);
}

/**
 * The shelves as they stand. Plants are pressed for their cards and carried within and between shelves, by mouse, by finger and by
 * keyboard. Of thousands only the shelves in sight are on the page, so that they stay quick.
 */
export function Benches({ rows: packed, limit }: { rows: readonly PackedRow[]; limit: number }) {
  const router = useRouter();
  const { id: collectionId, timeZone } = useCollection();
  const live = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  // A few stand on the page all together, as whoever searches the page expects; of many those in sight.
  const many = packed.reduce((sum, row) => sum + (row.kind === "shelf" ? row.shelf.count : 0), 0) > AT_ONCE;
  const { standing, complete, failed, again } = useStanding(packed);
  const given = useMemo(
    () => unpackRows(live || !many ? packed : firstOf(packed), standing),
    [packed, standing, live, many],
  );
  // What was moved here stands until the page has been read anew.
  const [shifted, setShifted] = useState<{ readonly of: readonly Row[]; readonly rows: readonly Row[] } | null>(null);
  const rows = shifted?.of === given ? shifted.rows : given;
  const [shaded, setShaded] = useState(false);
  const [card, setCard] = useState<ShelfPlant | null>(null);
  const [lifted, setLifted] = useState<ShelfPlant | null>(null);
  const [spot, setSpot] = useState<Spot | null>(null);
  const [said, setSaid] = useState<Said>(null);
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  const [width, setWidth] = useState(1000);
  useLayoutEffect(() => {
    const measure = () => {
      setTop(list.current?.offsetTop ?? 0);
      setWidth(list.current?.clientWidth ?? 1000);
    };
    measure();
    window.addEventListener("resize", measure);
    return () => window.removeEventListener("resize", measure);
  }, []);
  const forms = useMemo(
    () => [...new Set(given.flatMap((row) => (row.kind === "shelf" ? row.shelf.plants.map(({ form }) => form) : [])))],
    [given],
  );
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: (i) => guess(rows[i], width),
    getItemKey: (i) => rows[i]!.id,
    overscan: 3,
    scrollMargin: top,
  });
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HELD_MS, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: byArrows,
      keyboardCodes: { start: ["Space"], cancel: ["Escape"], end: ["Space", "Enter"] },
    }),
  );
  const press = useCallback((plant: ShelfPlant) => setCard(plant), []);

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
  const shelfIds = useMemo(() => rows.flatMap((row) => (row.kind === "shelf" ? row.id : [])), [rows]);
  const { inSight, go, swiped } = useSwiped(list);
  const beside = new Set(shelfIds.slice(Math.max(0, inSight - 1), inSight + 2));
  const draw = (row: Row) =>
    row.kind === "room" ? (
      <h2 className="shelf-room">{row.name}</h2>
    ) : (
      <ShelfRow
        shelf={row.shelf}
        shaded={shaded}
        onPress={press}
        spot={spot?.shelfId === row.shelf.id ? spot : null}
        // What is moved before the rest has come would be put back by it.
        live={live && complete}
      />
    );
  return (
    <>
      <SilhouetteSprite forms={forms} />
      <Form.Check
        type="switch"
        id="show-carried"
        label={`Show what plants may carry (at risk from ${Math.round(limit * 1000) / 10} %)`}
        checked={shaded}
        onChange={(event) => setShaded(event.target.checked)}
        className="mb-2"
      />
      <p id="how-to-move" className="small mb-2">
        Press a plant for its card. To move it, drag it, or hold it down with a finger.{" "}
        <span className="d-none d-lg-inline">
          By keyboard: the space bar lifts it, the arrow keys carry it, space puts it down, Escape cancels.
        </span>
      </p>
      <div aria-live="polite" className="visually-hidden">
        {lifted && spot ? `${lifted.code} ${where(spot)}` : ""}
      </div>
      {said && (
        <Alert variant={said.wrong ? "danger" : "success"} className="bench-said">
          {said.text}{" "}
          {said.undo && (
            <Button variant="outline-primary" onClick={() => void undo(said.undo!)}>
              Undo
            </Button>
          )}
        </Alert>
      )}
      {failed && (
        <Alert variant="warning">
          The plants further down could not be loaded, and none can be moved until they are.{" "}
          <Button variant="outline-primary" onClick={again}>
            Try again
          </Button>
        </Alert>
      )}
      <DndContext
        id="benches"
        sensors={sensors}
        onDragStart={start}
        onDragMove={move}
        onDragEnd={(event) => void end(event)}
        onDragCancel={() => {
          setLifted(null);
          setSpot(null);
        }}
        autoScroll={{ layoutShiftCompensation: false }}
      >
        <ShelfNav rows={rows} at={inSight} onGo={go} />
        <div ref={list} className="shelves" onScroll={swiped.onScroll}>
          {live && many && !swiped.is ? (
            <div style={{ height: virtual.getTotalSize(), position: "relative" }}>
              {virtual.getVirtualItems().map(({ key, index, start: offset }) => (
                <div
                  key={key}
                  ref={virtual.measureElement}
                  data-index={index}
                  className="shelf-row"
                  style={{ transform: `translateY(${offset - virtual.options.scrollMargin}px)` }}
                >
                  {draw(rows[index]!)}
                </div>
              ))}
            </div>
          ) : (
            rows.map((row) => (
              <div key={row.id} className={`slide-${row.kind}`}>
                {/* Of many those beside the one in sight are drawn: the next is there before it is swiped to. */}
                {(!(many && swiped.is) || beside.has(row.id)) && draw(row)}
              </div>
            ))
          )}
        </div>
        <DragOverlay dropAnimation={null}>
          {lifted && (
            <div className="pot pot-carried">
              <PotPicture plant={lifted} shaded={shaded} />
            </div>
          )}
        </DragOverlay>
      </DndContext>
      <BenchCard plant={card} onClose={() => setCard(null)} />
    </>
  );
}

/** As many rows as hold what is in sight when a long page arrives. */
function firstOf(rows: readonly PackedRow[]): readonly PackedRow[] {
  let plants = 0;
  return rows.filter((row) => {
    const shown = plants < AT_FIRST;
    if (row.kind === "shelf") plants += row.shelf.count;
    return shown;
  });
}

/** Whether a plant stands in that spot already. */
function stoodAt(rows: readonly Row[], plantId: string, { shelfId, after }: Spot): boolean {
  const shelf = rows.find((row) => row.kind === "shelf" && row.shelf.id === shelfId);
  if (shelf?.kind !== "shelf") return false;
  const ids = shelf.shelf.plants.map(({ id }) => id);
  const at = ids.indexOf(plantId);
  return at >= 0 && (at === 0 ? "first" : ids[at - 1]) === after;
}
