import type { KeyboardCoordinateGetter } from "@dnd-kit/core";
import { spotAt, type Spot } from "./shelves";

/** Arrow keys go from pot to pot: along the row, and to the shelf above or below. */
export const byArrows: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
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
