import { useDraggable } from "@dnd-kit/core";
import type { KeyboardEvent } from "react";
import { plantStates, type PlantState } from "@/core/knowledge/plants/states";
import type { OnFloorPlan } from "@/core/record/facts/floorPlan";
import { isApart } from "@/core/record/facts/descriptions";
import type { RoomOnFloorPlan, ShelfOnFloorPlan } from "@/operations/places/queries/readFloorPlan";
import { Link } from "@/ui/Link";
import { Flower } from "@/ui/mark/Flower";
import { Lamp, Window } from "@/ui/places/lights";
import { standsInWords } from "@/wording/names/places";

/** What asks for most comes first. */
const inOrder = plantStates.toReversed();
const hasWindow = ({ light }: Pick<ShelfOnFloorPlan, "light">) => light === "window" || light === "both";
const hasLamp = ({ light }: Pick<ShelfOnFloorPlan, "light">) => light === "lamp" || light === "both";

interface Props {
  readonly room: RoomOnFloorPlan;
  readonly at: OnFloorPlan;
  readonly onKey: (event: KeyboardEvent, at: OnFloorPlan) => void;
}

/** A room from above: its walls, the window, the door, its shelves and how the plants on them stand. */
export function RoomDrawn({ room, at, onKey }: Props) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: room.id });
  const moved = transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined;
  const window = hasWindow(room) || room.shelves.some(hasWindow);
  return (
    <section
      ref={setNodeRef}
      aria-label={room.name}
      className={`plan-room plan-${room.kind} ${isDragging ? "plan-lifted" : ""} ${room.doorShut ? "plan-shut" : ""}`}
      style={{ gridColumn: at.column + 1, gridRow: at.row + 1, transform: moved }}
    >
      {window && <Window className="plan-window" />}
      <button
        type="button"
        className="plan-name"
        {...listeners}
        onKeyDown={(event) => onKey(event, at)}
        aria-label={`${room.name}: column ${at.column + 1}, row ${at.row + 1}. The arrow keys carry it.`}
      >
        {room.name}
      </button>
      <ul className="plan-shelves">
        {room.shelves.map((shelf) => (
          <li key={shelf.id}>
            <Link href={`/benches/places/${shelf.id}`} aria-label={standsInWords(shelf)}>
              <span className="plan-plants">
                {inOrder.map((state) => (
                  <Count key={state} state={state} many={shelf.states[state] ?? 0} apart={isApart(room.kind)} />
                ))}
                {shelf.count === 0 && <span className="small">empty</span>}
                {hasLamp(shelf) && <Lamp className="plan-lamp" />}
              </span>
              {shelf.id !== room.id && <span className="plan-shelf small">{shelf.name}</span>}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Count({ state, many, apart }: { state: PlantState; many: number; apart: boolean }) {
  if (many === 0) return null;
  return (
    <span className="text-nowrap">
      <Flower state={state} petals={3} apart={apart} size="small" silent />
      {many}
    </span>
  );
}
