import type { DatedPicture } from "@/core/advice/plans/draw";
import type { Day } from "@/core/shared/days";
import { expectedCount, percent } from "@/wording/advice/chances";
import { shortDay } from "@/wording/dates";
import { stageNames } from "@/wording/names/names";

/** A picture's numbers as a table, for those who cannot see its lines. */
export function PictureTable({
  picture,
  dayLabel = shortDay,
}: {
  picture: DatedPicture;
  dayLabel?: (day: Day) => string;
}) {
  return (
    <div className="picture-table" tabIndex={0} role="region" aria-label="The same numbers as a table">
      <table className="table table-sm mb-0">
        <caption className="visually-hidden">Expected numbers by stage and how likely it is over, day by day</caption>
        <thead>
          <tr>
            <th scope="col">Day</th>
            {picture.stages.map((stage) => (
              <th scope="col" key={stage}>
                {stageNames[stage] ?? stage}
              </th>
            ))}
            <th scope="col">Deep</th>
            <th scope="col">All</th>
            <th scope="col">Over</th>
          </tr>
        </thead>
        <tbody>
          {picture.points.map((point) => (
            <tr key={point.day}>
              <th scope="row">
                {dayLabel(point.day)}
                {point.coming && " (to come)"}
              </th>
              {point.expected.map((n, i) => (
                <td key={picture.stages[i]}>{expectedCount(n)}</td>
              ))}
              <td>{expectedCount(point.deep)}</td>
              <td>
                {expectedCount(point.low)} to {expectedCount(point.high)}
              </td>
              <td>{point.pClear === null ? "" : percent(point.pClear)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
