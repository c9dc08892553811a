"use client";

import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { addDays, daysBetween } from "@/core/shared/days";
import type { GnatRoomView } from "@/operations/seasons/queries/readGnatRoom";
import { shortDay } from "@/wording/dates";
import { pointsOf } from "./gnatPoints";

const axis = { tick: { fill: "var(--bs-body-color)", fontSize: 14 }, stroke: "var(--bs-border-color)" };

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
