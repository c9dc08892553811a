import {
  laidOver,
  LEAST_ON_PAPER_MM2,
  movedBetween,
  type CardSize,
  type Spot,
} from "@/core/model/inspection/cardSpots";
import { findCard, level, type Frame, type Levelled } from "./levelled";
import { spotsOn } from "./spots";

/** So fine that a mite is five pixels long. */
const PX_PER_MM = 10;
/** A speck that is just seen on one photo may be just missed on the other: of the first, smaller ones count as well. */
const MISSED = 0.4;

/** What moved on a white paper between two photos of it, on the second as if seen from above; null where the paper is not found on both. */
export function movedOnPaper(
  before: Frame,
  after: Frame,
  size: CardSize,
): { readonly paper: Levelled; readonly moved: readonly Spot[] } | null {
  const [first, second] = [levelled(before, size), levelled(after, size)];
  if (!first || !second) return null;
  const is = spotsOn(second, LEAST_ON_PAPER_MM2);
  const was = spotsOn(first, MISSED * LEAST_ON_PAPER_MM2);
  const seen = { widthMm: second.width / second.pxPerMm, heightMm: second.height / second.pxPerMm };
  return { paper: second, moved: movedBetween(laidOver(was, is, seen), is) };
}

function levelled(frame: Frame, size: CardSize): Levelled | null {
  const corners = findCard(frame);
  return corners && level(frame, corners, size, PX_PER_MM);
}
