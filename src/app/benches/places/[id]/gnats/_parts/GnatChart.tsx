"use client";

import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { addDays, daysBetween, type Day } from "@/core/shared/days";
import type { GnatRoomView } from "@/operations/seasons/queries/readGnatRoom";
import { shortDay } from "@/wording/dates";

const axis = { tick: { fill: "var(--bs-body-color)", fontSize: 14 }, stroke: "var(--bs-border-color)" };

interface Point {
  readonly at: number;
  readonly counted?: number;
  readonly mean?: number;
  readonly span?: readonly [number, number];
}

/** Counts as a week's worth, what was expected of them, and what is to come; day 0 is the first reckoned. */
function pointsOf({ counts, judged, begin }: Pick<GnatRoomView, "counts" | "judged" | "begin">): Point[] {
  const weekly = (count: number, days: number) => Math.round((70 * count) / days) / 10;
  const onCards = counts.filter(({ what }) => what === "cards");
  const points = new Map<number, Point>();
  for (const { day: on, count, days } of onCards)
    points.set(daysBetween(begin, on), { at: daysBetween(begin, on), counted: weekly(count, days) });
  for (const { atDay, mean, low, high } of judged?.expected ?? []) {
    const days = onCards.find((one) => daysBetween(begin, one.day) === atDay)?.days ?? 7;
    points.set(atDay, {
      ...points.get(atDay),
      at: atDay,
      mean: weekly(mean, days),
      span: [weekly(low, days), weekly(high, days)],
    });
  }
  for (const { fromDay, mean, low, high } of judged?.weeks ?? []) {
    const at = fromDay + 7;
    points.set(at, { ...points.get(at), at, mean, span: [low, high] });
  }
  return [...points.values()].toSorted((a, b) => a.at - b.at);
}

/** What cards caught week by week, against what was to be expected, and what comes next. The table says the same. */
export function GnatChart({ view }: { view: GnatRoomView }) {
  const points = pointsOf(view);
  const today = daysBetween(view.begin, view.day);
  return (
    <div aria-hidden="true">
      <ul className="case-legend">
        <li>● counted in a week</li>
        <li>— expected, with its range</li>
      </ul>
      <ResponsiveContainer width="100%" height={230}>
        <ComposedChart data={points} margin={{ top: 8, right: 8, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--bs-border-color)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={["dataMin", "dataMax"]}
            tickFormatter={(at: number) => shortDay(addDays(view.begin, at))}
            minTickGap={40}
            {...axis}
          />
          <YAxis width={48} allowDecimals={false} {...axis} />
          <ReferenceLine x={today} stroke="var(--bs-body-color)" strokeDasharray="4 4" />
          <Area
            dataKey="span"
            type="linear"
            stroke="none"
            fill="var(--bs-link-color)"
            fillOpacity={0.16}
            isAnimationActive={false}
            connectNulls
          />
          <Line
            dataKey="mean"
            type="linear"
            stroke="var(--bs-link-color)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
            connectNulls
          />
          <Line
            dataKey="counted"
            stroke="var(--bs-body-color)"
            strokeWidth={0}
            dot={{ r: 5, fill: "var(--bs-body-color)" }}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

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
