import { PhoneFold } from "../PhoneFold";
import type { CSSProperties } from "react";
import type { DatedPicture } from "@/core/advice/plans/draw";
import { daysBetween, type Day } from "@/core/shared/days";
import type { PestId } from "@/core/knowledge/pests/pests";
import { Animal } from "@/ui/animals/Animal";
import { shortDay } from "@/wording/dates";
import { percent } from "@/wording/advice/chances";
import { stageNames } from "@/wording/names/names";
import type { Mark } from "./CaseChart";
import { penOf, signs } from "./pens";

/** So few animals are drawn as none. */
const LEAST = 0.02;
/** Ink goes with this power of the number: one animal among a hundred is still seen, and a fall to a tenth is plain. */
const POWER = 0.45;
const LANE_PX = 26;
const PART_PX = 4;

/** Ink of so many animals where `most` are drawn full, 0–1. */
const ink = (n: number, most: number) => (n < LEAST ? 0 : Math.min(1, n / most) ** POWER);

/** The most animals that a stage would hold, were all of it as full as its fullest part. */
const mostIn = ({ points, parts }: DatedPicture) =>
  Math.max(LEAST, ...points.flatMap(({ lives }) => lives.map((n, part) => n * lengthOf(parts, parts[part]!))));

/** Of how many parts a stage is. */
const lengthOf = (parts: readonly number[], stage: number) => parts.filter((one) => one === stage).length;

/**
 * The lives of a case over time: a lane for each stage, those just begun at its top and those about to leave it at its bottom, so that
 * whatever lives wanders down to the right. Over it stand treatments, each with what it kills in each lane, and looks.
 */
export function LivesChart({
  pest,
  picture,
  marks,
  today,
}: {
  pest: PestId;
  picture: DatedPicture;
  marks: readonly Mark[];
  today: Day;
}) {
  const { points, stages, parts, meetings } = picture;
  const [first, last] = [points[0]!.day, points.at(-1)!.day];
  const days = points.length;
  const most = mostIn(picture);
  // The middle of a day's column.
  const at = (day: Day) => `${((daysBetween(first, day) + 0.5) / days) * 100}%`;
  const looks = marks.filter(({ kind, day }) => (kind === "clean" || kind === "found") && day >= first && day <= last);
  const weeks = points.map(({ day }) => day).filter((_, i) => i % tickEvery(days) === 0);
  return (
    <figure className="lives">
      <div className="lives-grid" aria-hidden="true">
        <div className="lives-names">
          {stages.map((stage, i) => (
            <div key={stage} style={{ height: heightOf(parts, i) }}>
              <Animal pest={pest} stage={stage} bodyPx={18} />
              <span>{stageNames[stage] ?? stage}</span>
            </div>
          ))}
        </div>
        <div className="lives-lanes">
          {stages.map((stage, i) => (
            <Lane key={stage} stage={i} picture={picture} most={most} />
          ))}
          {daysBetween(first, today) >= 0 && daysBetween(today, last) >= 0 && (
            <div className="lives-today" style={{ left: at(today) }} />
          )}
          {meetings.map(({ day, dies }, i) => (
            <div key={i} className="lives-treatment" style={{ left: at(day) }}>
              {dies.map((share, stage) => (
                <span key={stage} style={{ height: heightOf(parts, stage) }}>
                  <i style={{ "--share": share } as CSSProperties} />
                </span>
              ))}
            </div>
          ))}
        </div>
        <div className="lives-axis">
          {looks.map(({ day, kind }, i) => (
            <b key={`${day} ${kind} ${i}`} style={{ left: at(day) }}>
              {signs[kind]}
            </b>
          ))}
          {weeks.map((day) => (
            <span key={day} style={{ left: at(day) }}>
              {shortDay(day)}
            </span>
          ))}
        </div>
      </div>
      <figcaption className="small">
        <PhoneFold summary="How to read this">
          Each row is a life stage, youngest at the top of the row; the stronger the colour, the more animals. Each disc
          is a treatment, its dark part the share it kills there. Survivors move on, down to the right, and lay in the
          last row. The thick line is today; {signs.found} found, {signs.clean} a look.
          <Meetings picture={picture} />
        </PhoneFold>
      </figcaption>
    </figure>
  );
}

/** A date at the axis so often, days, that they stand apart. */
const tickEvery = (days: number) => Math.max(7, Math.ceil(days / 4 / 7) * 7);

/** How tall a lane is: the more parts a stage has, the taller. */
function heightOf(parts: readonly number[], stage: number): number {
  return Math.max(LANE_PX, lengthOf(parts, stage) * PART_PX);
}

function Lane({ stage, picture: { points, parts }, most }: { stage: number; picture: DatedPicture; most: number }) {
  const own = parts.flatMap((one, part) => (one === stage ? [part] : []));
  return (
    <svg
      className="lives-lane"
      style={{ height: heightOf(parts, stage), color: penOf(stage) }}
      viewBox={`0 0 ${points.length} ${own.length}`}
      preserveAspectRatio="none"
    >
      {points.flatMap(({ lives }, x) =>
        own.map((part, y) => {
          // Stages are cut in parts of unlike length; ink is of what a whole stage would hold at that rate.
          const strength = ink(lives[part]! * own.length, most);
          return strength > 0 && <rect key={`${x} ${y}`} x={x} y={y} width={1} height={1} opacity={strength} />;
        }),
      )}
    </svg>
  );
}

/** What each treatment meets, in numbers. */
function Meetings({ picture: { stages, meetings } }: { picture: DatedPicture }) {
  if (meetings.length === 0) return null;
  return (
    <details>
      <summary>What each treatment kills, as a table</summary>
      <div className="table-responsive">
        <table className="table table-sm mb-2">
          <thead>
            <tr>
              <th scope="col">Treatment</th>
              {stages.map((stage) => (
                <th key={stage} scope="col">
                  {stageNames[stage] ?? stage}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {meetings.map(({ day, dies }, i) => (
              <tr key={i}>
                <th scope="row">{shortDay(day)}</th>
                {dies.map((share, stage) => (
                  <td key={stage}>{percent(share)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
