/** A petal pointing up from the centre of a 96 × 96 field. */
const PETAL = "M48 44 C34 36 32 14 48 8 C64 14 62 36 48 44 Z";
const PETALS = [0, 72, 144, 216, 288];
const LINE = 'fill="none" stroke="currentColor" stroke-width="5" stroke-linejoin="round" stroke-linecap="round"';

const mark = (id: string, drawn: string, more = "") =>
  `<symbol id="mark-${id}" viewBox="0 0 96 96"><g ${LINE}${more}>${drawn}</g></symbol>`;

/** Five petals; the first `filled` of them solid. */
const petals = (filled = 0) =>
  PETALS.map((angle, i) => {
    const solid = i < filled ? ' fill="currentColor"' : "";
    return `<path d="${PETAL}" transform="rotate(${angle} 48 50)"${solid}/>`;
  }).join("");
const HEART = '<circle cx="48" cy="50" r="4" fill="currentColor" stroke="none"/>';

const MARKS = [
  `<clipPath id="mark-petal"><path d="${PETAL}"/></clipPath>`,
  mark("clear", petals() + HEART),
  mark("overdue", petals() + HEART, ' stroke-dasharray="1 9"'),
  // Lines, not a pattern: a pattern would not take the colour of the mark that uses it.
  mark(
    "atRisk",
    `${petals()}${HEART}<path d="M26 24 L50 0 M26 36 L62 0 M30 44 L70 4 M38 48 L74 12" stroke-width="4" stroke-linejoin="miter" stroke-linecap="butt" clip-path="url(#mark-petal)"/>`,
  ),
  ...[0, 1, 2, 3, 4, 5].map((filled) => mark(`surer-${filled}`, petals(filled) + HEART)),
  mark(
    "infested",
    '<path d="M48 8 C70 26 72 50 60 62 H36 C24 50 26 26 48 8 Z" fill="currentColor"/><path d="M48 62 V90 M48 80 C38 80 32 74 30 68 M48 80 C58 80 64 74 66 68"/>',
  ),
  mark(
    "new",
    '<path d="M48 90 V46"/><path d="M48 50 C24 52 14 38 14 20 C36 18 48 30 48 50 Z"/><path d="M48 44 C50 24 64 14 82 16 C84 36 70 46 48 44 Z"/>',
  ),
  mark("jar", '<path d="M14 86 V46 C14 22 28 12 48 12 C68 12 82 22 82 46 V86"/><path d="M6 88 H90 M44 6 H52"/>'),
].join("");

/**
 * The marks, drawn once per page; {@link Flower} points at them. Shape tells the state, colour only helps. They are one piece of text,
 * as every page carries them: as elements of their own they were 11 kB more on each.
 */
export function FlowerSprite() {
  return (
    <svg
      width="0"
      height="0"
      aria-hidden="true"
      style={{ position: "absolute" }}
      dangerouslySetInnerHTML={{ __html: `<defs>${MARKS}</defs>` }}
    />
  );
}
