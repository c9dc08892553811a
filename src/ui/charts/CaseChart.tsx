"use client";

import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { DatedPicture } from "@/core/advice/plans/draw";
import { addDays, dayNumber, type Day } from "@/core/shared/days";
import { expectedCount, percent } from "@/wording/advice/chances";
import { shortDay } from "@/wording/dates";
import { stageNames } from "@/wording/names/names";
import { deepPen, penOf, signs, type MarkKind } from "./pens";

export interface Mark {
  readonly day: Day;
  readonly kind: MarkKind;
}

interface Props {
  readonly picture: DatedPicture;
  readonly marks: readonly Mark[];
  readonly today: Day;
  /** How a day is written. */
  readonly dayLabel?: (day: Day) => string;
}

/** Fewer than this are drawn as none: the scale is logarithmic. */
const LEAST = 0.01;
const TICKS = [0.01, 0.1, 1, 10, 100, 1000, 10_000, 100_000];
const axis = { tick: { fill: "var(--bs-body-color)", fontSize: 14 }, stroke: "var(--bs-border-color)" };
const still = { dot: false, isAnimationActive: false } as const;

const dayAt = (at: number) => addDays("1970-01-01" as Day, at);

/** Expected numbers by stage over time on a logarithmic scale, and below it how likely it is over. */
export function CaseChart({ picture, marks, today, dayLabel = shortDay }: Props) {
  const data = picture.points.map((point) => rowOf(point, today));
  const most = Math.max(1, ...picture.points.map((point) => point.high));
  const top = TICKS.find((tick) => tick >= most) ?? most;
  // The table beside the chart is the way for keys and readers; the drawing itself takes no focus.
  const shared = {
    margin: { top: 20, right: 8, bottom: 0, left: 0 },
    syncId: "case",
    data,
    accessibilityLayer: false,
  };
  const time = {
    dataKey: "at",
    type: "number" as const,
    domain: ["dataMin", "dataMax"] as ["dataMin", "dataMax"],
    tickFormatter: (at: number) => dayLabel(dayAt(at)),
    minTickGap: 40,
    ...axis,
  };
  const now = <ReferenceLine x={dayNumber(today)} stroke="var(--bs-body-color)" strokeWidth={1.5} />;
  return (
    <div className="case-chart" aria-hidden="true">
      <ResponsiveContainer width="100%" height={230}>
        <ComposedChart {...shared}>
          <CartesianGrid stroke="var(--bs-border-color)" vertical={false} />
          <XAxis {...time} />
          <YAxis
            scale="log"
            domain={[LEAST, top]}
            ticks={TICKS.filter((tick) => tick <= top)}
            allowDataOverflow
            tickFormatter={(n: number) => (n === LEAST ? "none" : String(n))}
            width={56}
            {...axis}
          />
          <Area dataKey="band" fill="var(--bs-link-color)" fillOpacity={0.12} stroke="none" isAnimationActive={false} />
          {picture.stages.map((stage, i) => (
            <Line key={`past-${stage}`} dataKey={`past${i}`} stroke={penOf(i)} strokeWidth={2.5} {...still} />
          ))}
          {picture.stages.map((stage, i) => (
            <Line
              key={`coming-${stage}`}
              dataKey={`coming${i}`}
              stroke={penOf(i)}
              strokeWidth={2}
              strokeDasharray="5 4"
              {...still}
            />
          ))}
          <Line dataKey="deep" strokeWidth={3} {...deepPen} {...still} />
          {now}
          {[...new Set(marks.map((mark) => mark.day))].map((day) => (
            <ReferenceLine
              key={day}
              x={dayNumber(day)}
              stroke="var(--bs-border-color)"
              label={{
                value: signsOn(day, marks),
                position: "top",
                fill: "var(--bs-body-color)",
                fontSize: 14,
              }}
            />
          ))}
          <Tooltip content={<Told picture={picture} dayLabel={dayLabel} />} />
        </ComposedChart>
      </ResponsiveContainer>
      <ResponsiveContainer width="100%" height={110}>
        <ComposedChart {...shared}>
          <CartesianGrid stroke="var(--bs-border-color)" vertical={false} />
          <XAxis {...time} />
          <YAxis
            domain={[0, 1]}
            ticks={[0, 0.5, 0.95]}
            tickFormatter={(p: number) => `${Math.round(p * 100)} %`}
            width={56}
            {...axis}
          />
          <ReferenceLine y={0.95} stroke="var(--clear)" strokeDasharray="2 3" />
          <Line dataKey="pastP" stroke="var(--surer)" strokeWidth={3} connectNulls {...still} />
          <Line dataKey="comingP" stroke="var(--surer)" strokeWidth={2} strokeDasharray="5 4" connectNulls {...still} />
          {now}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

/** A day as the chart wants it; on today both the solid and the dashed part have a value, so that they meet. */
function rowOf(point: DatedPicture["points"][number], today: Day): Record<string, unknown> {
  const row: Record<string, unknown> = { at: dayNumber(point.day) };
  const sides = point.day === today ? ["past", "coming"] : [point.coming ? "coming" : "past"];
  for (const side of sides) {
    point.expected.forEach((n, i) => (row[`${side}${i}`] = Math.max(n, LEAST)));
    if (point.pClear !== null) row[`${side}P`] = point.pClear;
  }
  row["deep"] = Math.max(point.deep, LEAST);
  row["band"] = [Math.max(point.low, LEAST), Math.max(point.high, LEAST)];
  return row;
}

/** All that happened on a day, each sign once. */
function signsOn(day: Day, marks: readonly Mark[]): string {
  return [...new Set(marks.filter((mark) => mark.day === day).map((mark) => signs[mark.kind]))].join("");
}

interface ToldProps extends Required<Pick<Props, "picture" | "dayLabel">> {
  readonly active?: boolean;
  readonly label?: number | string;
}

/** The numbers of the day under the pointer. */
function Told({ picture, dayLabel, active, label }: ToldProps) {
  const point = picture.points.find((p) => dayNumber(p.day) === Number(label));
  if (!active || !point) return null;
  return (
    <div className="case-told small">
      <div className="fw-semibold">{dayLabel(point.day)}</div>
      {picture.stages.map((stage, i) => (
        <div key={stage}>
          {stageNames[stage] ?? stage}: {expectedCount(point.expected[i]!)}
        </div>
      ))}
      <div>out of reach of sprays: {expectedCount(point.deep)}</div>
      {point.pClear !== null && <div>over: {percent(point.pClear)}</div>}
    </div>
  );
}
