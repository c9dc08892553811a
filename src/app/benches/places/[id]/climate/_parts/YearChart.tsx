"use client";

import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Day } from "@/core/shared/days";
import type { ShownDay } from "@/operations/climate/queries/readClimate";
import { shortDay } from "@/wording/dates";
import { useUnits } from "@/ui/shell/Collection";
import { unitOf } from "@/ui/fields/QuantityField";
import { toFahrenheit } from "@/core/units/temperature";

const axis = { tick: { fill: "var(--bs-body-color)", fontSize: 14 }, stroke: "var(--bs-border-color)" };

/** A year of a place: warmth with its extremes above, humidity below. What was filled in is dashed. The table says the same. */
export function YearChart({ days }: { days: readonly ShownDay[] }) {
  const units = useUnits();
  const inUnits = (celsius: number) => (units === "us" ? toFahrenheit(celsius) : celsius);
  const points = days.map(({ day, meanC, minC, maxC, humidity, filled }) => ({
    day,
    span: minC !== null && maxC !== null ? [inUnits(minC), inUnits(maxC)] : undefined,
    measured: filled ? undefined : inUnits(meanC),
    filled: inUnits(meanC),
    humidity: humidity ?? undefined,
  }));
  const damp = days.some(({ humidity }) => humidity !== null);
  const x = <XAxis dataKey="day" tickFormatter={(day: string) => shortDay(day as Day)} minTickGap={48} {...axis} />;
  const grid = <CartesianGrid stroke="var(--bs-border-color)" vertical={false} />;
  const margin = { top: 8, right: 8, bottom: 0, left: 0 };
  return (
    <div aria-hidden="true">
      <ul className="case-legend">
        <li>— {unitOf("warmth", units)}, daily mean, with lowest and highest</li>
        <li>┄ filled in from the last known day</li>
        {damp && <li>below: humidity, %</li>}
      </ul>
      <ResponsiveContainer width="100%" height={220}>
        <ComposedChart data={points} margin={margin} accessibilityLayer={false}>
          {grid}
          {x}
          <YAxis width={40} domain={["auto", "auto"]} {...axis} />
          <Area
            dataKey="span"
            type="monotone"
            stroke="none"
            fill="var(--bs-link-color)"
            fillOpacity={0.18}
            isAnimationActive={false}
          />
          <Line
            dataKey="filled"
            stroke="var(--bs-body-color)"
            strokeDasharray="3 4"
            strokeWidth={1}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="measured"
            stroke="var(--bs-link-color)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
      {damp && (
        <ResponsiveContainer width="100%" height={110}>
          <ComposedChart data={points} margin={margin} accessibilityLayer={false}>
            {grid}
            {x}
            <YAxis width={40} domain={[0, 100]} ticks={[0, 50, 100]} {...axis} />
            <Line
              dataKey="humidity"
              stroke="var(--clear, var(--bs-link-color))"
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      )}
    </div>
  );
}
