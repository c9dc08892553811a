const PETALS = [0, 72, 144, 216, 288];
/** A petal pointing up from the centre of a 96 × 96 field. */
const PETAL = "M48 44 C34 36 32 14 48 8 C64 14 62 36 48 44 Z";
const line = { stroke: "currentColor", strokeWidth: 5, strokeLinejoin: "round", strokeLinecap: "round" } as const;

/** Five petals; the first `filled` of them solid. */
function Petals({ filled = 0, dash }: { filled?: number; dash?: string }) {
  return (
    <>
      {PETALS.map((angle, i) => (
        <path
          key={angle}
          d={PETAL}
          transform={`rotate(${angle} 48 50)`}
          fill={i < filled ? "currentColor" : "none"}
          strokeDasharray={dash}
          {...line}
        />
      ))}
      <circle cx="48" cy="50" r="4" fill="currentColor" />
    </>
  );
}

/**
 * The marks, drawn once per page; {@link Flower} points at them. Shape tells the state, colour only helps.
 */
export function FlowerSprite() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
      <defs>
        <clipPath id="mark-petal">
          <path d={PETAL} />
        </clipPath>
        <symbol id="mark-clear" viewBox="0 0 96 96">
          <Petals />
        </symbol>
        <symbol id="mark-overdue" viewBox="0 0 96 96">
          <Petals dash="1 9" />
        </symbol>
        <symbol id="mark-atRisk" viewBox="0 0 96 96">
          <Petals />
          {/* Lines, not a pattern: a pattern would not take the colour of the mark that uses it. */}
          <path
            d="M26 24 L50 0 M26 36 L62 0 M30 44 L70 4 M38 48 L74 12"
            fill="none"
            strokeWidth="4"
            stroke="currentColor"
            clipPath="url(#mark-petal)"
          />
        </symbol>
        {[0, 1, 2, 3, 4, 5].map((filled) => (
          <symbol key={filled} id={`mark-surer-${filled}`} viewBox="0 0 96 96">
            <Petals filled={filled} />
          </symbol>
        ))}
        <symbol id="mark-infested" viewBox="0 0 96 96">
          <path d="M48 8 C70 26 72 50 60 62 H36 C24 50 26 26 48 8 Z" fill="currentColor" {...line} />
          <path d="M48 62 V90 M48 80 C38 80 32 74 30 68 M48 80 C58 80 64 74 66 68" fill="none" {...line} />
        </symbol>
        <symbol id="mark-new" viewBox="0 0 96 96">
          <path d="M48 90 V46" fill="none" {...line} />
          <path d="M48 50 C24 52 14 38 14 20 C36 18 48 30 48 50 Z" fill="none" {...line} />
          <path d="M48 44 C50 24 64 14 82 16 C84 36 70 46 48 44 Z" fill="none" {...line} />
        </symbol>
        <symbol id="mark-jar" viewBox="0 0 96 96">
          <path d="M14 86 V46 C14 22 28 12 48 12 C68 12 82 22 82 46 V86" fill="none" {...line} />
          <path d="M6 88 H90 M44 6 H52" fill="none" {...line} />
        </symbol>
      </defs>
    </svg>
  );
}
