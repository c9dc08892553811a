"use client";

import { groupBy } from "@/core/shared/groupBy";
import { meanOf } from "@/core/shared/mean";
import type { ShownDay } from "@/operations/climate/queries/readClimate";
import { useUnits } from "@/ui/shell/Collection";
import { monthNames } from "@/wording/advice/seasons/seasons";
import { warmthIn } from "@/wording/units";

const shown = (value: number | null, digits: number) => (value === null ? "" : value.toFixed(digits));

export function MonthTable({ days }: { days: readonly ShownDay[] }) {
  const units = useUnits();
  const warmth = (celsius: number | null) => (celsius === null ? "" : warmthIn(celsius, units));
  const months = [...groupBy(days, ({ day }) => day.slice(0, 7))];
  const known = (values: readonly (number | null)[]) => values.filter((value) => value !== null);
  return (
    <div className="picture-table" tabIndex={0} role="region" aria-label="The year by month">
      <table className="table table-sm mb-0">
        <thead>
          <tr>
            <th scope="col">Month</th>
            <th scope="col">Mean</th>
            <th scope="col">Lowest</th>
            <th scope="col">Highest</th>
            <th scope="col">Humidity %</th>
            <th scope="col">Deficit kPa</th>
            <th scope="col">Days filled in</th>
          </tr>
        </thead>
        <tbody>
          {months.map(([month, there]) => {
            const lows = known(there.map(({ minC }) => minC));
            const highs = known(there.map(({ maxC }) => maxC));
            return (
              <tr key={month}>
                <th scope="row">
                  {monthNames[Number(month.slice(5, 7)) - 1]} {month.slice(0, 4)}
                </th>
                <td>{warmth(meanOf(there.map(({ meanC }) => meanC)))}</td>
                <td>{lows.length > 0 ? warmth(Math.min(...lows)) : ""}</td>
                <td>{highs.length > 0 ? warmth(Math.max(...highs)) : ""}</td>
                <td>{shown(meanOf(known(there.map(({ humidity }) => humidity))), 0)}</td>
                <td>{shown(meanOf(known(there.map(({ deficitKpa }) => deficitKpa))), 2)}</td>
                <td>{there.filter(({ filled }) => filled).length || ""}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
