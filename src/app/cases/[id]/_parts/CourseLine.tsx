import { daysBetween, type Day } from "@/core/shared/days";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { looksInWords, rhythmInWords } from "@/wording/advice/planning/planning";

const WIDTH = 240;
const HEIGHT = 26;
const EDGE = 6;
const MIDDLE = HEIGHT / 2;
/** Half the width of the line where nothing has gone wrong yet. */
const FULL = 7;

/** A plan as a line in time: marks where it is treated and looked at, its width the chance of getting so far. */
export function CourseLine({ schedule, from, until }: { schedule: DatedSchedule; from: Day; until: Day }) {
  const { dates, looks, pClean } = schedule;
  const days = Math.max(1, daysBetween(from, until));
  const x = (day: Day) => EDGE + ((WIDTH - 2 * EDGE) * daysBetween(from, day)) / days;
  const begin = dates[0] ?? from;
  const full: Day = dates.at(-1) ?? from;
  // Between two looks nobody knows: it narrows evenly to the chance that all are clean.
  const edge = [
    { at: x(begin), half: FULL },
    { at: x(full), half: FULL },
    ...looks.map((day, i) => ({ at: x(day), half: FULL * pClean ** ((i + 1) / looks.length) })),
  ];
  const above = edge.map(({ at, half }) => `${at.toFixed(1)},${(MIDDLE - half).toFixed(1)}`);
  const below = edge.map(({ at, half }) => `${at.toFixed(1)},${(MIDDLE + half).toFixed(1)}`).toReversed();
  return (
    <svg
      className="course-line"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${rhythmInWords(schedule)}; looks: ${looks.length}; ${looksInWords(schedule)}`}
    >
      <line className="ground" x1={0} x2={WIDTH} y1={MIDDLE} y2={MIDDLE} />
      <polygon className={schedule.reaches ? undefined : "short"} points={[...above, ...below].join(" ")} />
      {[...new Set(dates)].map((day) => (
        <line key={day} className="treat" x1={x(day)} x2={x(day)} y1={MIDDLE - 10} y2={MIDDLE + 10} />
      ))}
      {looks.map((day) => (
        <circle key={day} className="look" cx={x(day)} cy={MIDDLE} r={4} />
      ))}
    </svg>
  );
}
