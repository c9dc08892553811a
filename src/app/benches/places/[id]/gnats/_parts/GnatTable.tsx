import { addDays, type Day } from "@/core/shared/days";
import type { GnatRoomView } from "@/operations/seasons/queries/readGnatRoom";
import { shortDay } from "@/wording/dates";
import { pointsOf } from "./gnatPoints";

const shown = (n: number | undefined) =>
  n === undefined ? "" : n < 10 ? n.toFixed(n % 1 === 0 ? 0 : 1) : String(Math.round(n));

export function GnatTable({ view }: { view: GnatRoomView }) {
  const dayAt = (at: number): Day => addDays(view.begin, at);
  return (
    <div className="picture-table" tabIndex={0} role="region" aria-label="Counts week by week">
      <table className="table table-sm mb-0">
        <thead>
          <tr>
            <th scope="col">Week to</th>
            <th scope="col">Counted</th>
            <th scope="col">Expected</th>
            <th scope="col">Range</th>
          </tr>
        </thead>
        <tbody>
          {pointsOf(view).map(({ at, counted, mean, span }) => (
            <tr key={at}>
              <th scope="row">{shortDay(dayAt(at))}</th>
              <td>{shown(counted)}</td>
              <td>{shown(mean)}</td>
              <td>{span ? `${shown(span[0])} to ${shown(span[1])}` : ""}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
