"use client";

import { DndContext, DragOverlay } from "@dnd-kit/core";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useCallback, useLayoutEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { SilhouetteSprite } from "@/ui/forms/Silhouettes";
import { BenchCard } from "./BenchCard";
import { PotPicture } from "./Pot";
import { ShelfRow } from "./ShelfRow";
import { ShelfNav } from "./ShelfNav";
import { useCarrying } from "./useCarrying";
import { useStanding } from "./useStanding";
import { useSwiped } from "./useSwiped";
import { unpackRows, type PackedRow, type Row, type ShelfPlant } from "./shelves";

const never = () => () => {};
/** Up to so many plants stand on the page all together. */
const AT_ONCE = 300;
/** Of more than that so many stand there when it arrives, until it is known what is in sight. */
const AT_FIRST = 60;
const POT_WIDTH_PX = 92;
const POT_HEIGHT_PX = 132;
const HEADING_PX = 56;
const SHELF_PX = 44;
/** How high a row is before it has been measured. */
function guess(row: Row | undefined, width: number): number {
  if (!row || row.kind === "room") return HEADING_PX;
  const perLine = Math.max(1, Math.floor(width / POT_WIDTH_PX));
  return SHELF_PX + Math.max(1, Math.ceil(row.shelf.count / perLine)) * POT_HEIGHT_PX;
}

/**
 * The shelves as they stand. Plants are pressed for their cards and carried within and between shelves, by mouse, by finger and by
 * keyboard. Of thousands only the shelves in sight are on the page, so that they stay quick.
 */
export function Benches({ rows: packed, limit }: { rows: readonly PackedRow[]; limit: number }) {
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
  const { rows, lifted, spot, where, said, undo, handlers } = useCarrying(given);
  const [shaded, setShaded] = useState(false);
  const [card, setCard] = useState<ShelfPlant | null>(null);
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
  const press = useCallback((plant: ShelfPlant) => setCard(plant), []);

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
      <DndContext id="benches" {...handlers} autoScroll={{ layoutShiftCompensation: false }}>
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
