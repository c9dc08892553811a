"use client";

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { addDays, type Day } from "@/core/shared/days";
import { percent } from "@/wording/advice/chances";
import { shortDay } from "@/wording/dates";

const axis = { tick: { fill: "var(--bs-body-color)", fontSize: 14 }, stroke: "var(--bs-border-color)" };
const dayAt = (at: number) => addDays("1970-01-01" as Day, Math.floor(at));

/** The chance that a plant carries something over time; looks are the steps down. The table beside it says the same. */
export function CarriedChart({
  points,
  looks,
  limit,
}: {
  points: readonly { readonly at: number; readonly p: number }[];
  looks: readonly number[];
  limit: number;
}) {
  const most = Math.max(2 * limit, ...points.map(({ p }) => p));
  return (
    <div className="carried-chart" aria-hidden="true">
      <ResponsiveContainer width="100%" height={190}>
        <LineChart data={[...points]} margin={{ top: 8, right: 8, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--bs-border-color)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={["dataMin", "dataMax"]}
            tickFormatter={(at: number) => shortDay(dayAt(at))}
            minTickGap={40}
            {...axis}
          />
          <YAxis domain={[0, Math.min(1, most * 1.1)]} tickFormatter={(p: number) => percent(p)} width={56} {...axis} />
          {looks.map((at) => (
            <ReferenceLine key={at} x={at} stroke="var(--bs-border-color)" />
          ))}
          <ReferenceLine y={limit} stroke="var(--at-risk)" strokeDasharray="5 4" />
          <Line
            dataKey="p"
            type="linear"
            stroke="var(--bs-link-color)"
            strokeWidth={2.5}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
