import type { CountedSpot } from "@/core/model/inspection/cardSpots";

/** A ring on the picture of a card: an animal that was found, or one that the keeper added. */
export interface Mark {
  readonly id: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly kind: CountedSpot["kind"];
  /** How many animals lie there. */
  readonly many: number;
  /** Pressed away: it was dirt. It can be pressed back. */
  readonly off: boolean;
  readonly added: boolean;
}

/** A press so near to a ring means that ring, mm. */
const NEAR_MM = 3;

/** The rings of a card as it was read, from top to bottom. */
export const marksOf = (spots: readonly CountedSpot[]): readonly Mark[] =>
  [...spots]
    .sort((a, b) => a.yMm - b.yMm || a.xMm - b.xMm)
    .map(({ xMm, yMm, kind, many }, id) => ({ id, xMm, yMm, kind, many, off: false, added: false }));

/** What a ring becomes when it is pressed: away or back; one that was added is gone. */
export const pressMark = (marks: readonly Mark[], id: number): readonly Mark[] =>
  marks.flatMap((mark) => (mark.id !== id ? [mark] : mark.added ? [] : [{ ...mark, off: !mark.off }]));

/** What a press somewhere on the card does: the ring beside it is pressed, or a fly is added. */
export function pressAt(marks: readonly Mark[], xMm: number, yMm: number): readonly Mark[] {
  const near = marks
    .map((mark) => ({ mark, far: Math.hypot(mark.xMm - xMm, mark.yMm - yMm) }))
    .filter(({ far }) => far <= NEAR_MM)
    .sort((a, b) => a.far - b.far)[0];
  if (near) return pressMark(marks, near.mark.id);
  const id = Math.max(-1, ...marks.map((mark) => mark.id)) + 1;
  return [...marks, { id, xMm, yMm, kind: "fly", many: 1, off: false, added: true }];
}

/** How many of a kind are ringed. */
export const totalOf = (marks: readonly Mark[], kind: Mark["kind"]): number =>
  marks.reduce((sum, mark) => sum + (mark.kind === kind && !mark.off ? mark.many : 0), 0);
