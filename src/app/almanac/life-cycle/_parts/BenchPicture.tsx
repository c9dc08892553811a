"use client";

import { BENCH_DAY } from "@/core/casefile/bench";
import type { DatedPicture } from "@/core/casefile/draw";
import { daysBetween, type Day } from "@/core/climate/days";
import { CaseChart, type Mark } from "@/ui/charts/CaseChart";
import { ChartLegend } from "@/ui/charts/ChartLegend";
import { PictureTable } from "@/ui/charts/PictureTable";

const numbered = (day: Day) => `day ${daysBetween(BENCH_DAY, day)}`;

/** The picture of a case on the bench, told in days since the find. */
export function BenchPicture({ picture, marks, today }: { picture: DatedPicture; marks: readonly Mark[]; today: Day }) {
  return (
    <>
      <CaseChart picture={picture} marks={marks} today={today} dayLabel={numbered} />
      <ChartLegend stages={picture.stages} />
      <details>
        <summary>The same as a table</summary>
        <PictureTable picture={picture} dayLabel={numbered} />
      </details>
    </>
  );
}
