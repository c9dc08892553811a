"use client";

import { TRIAL_DAY } from "@/core/advice/plans/trial";
import type { DatedPicture } from "@/core/advice/plans/draw";
import { daysBetween, type Day } from "@/core/shared/days";
import { CaseChart, type Mark } from "@/ui/charts/CaseChart";
import { ChartLegend } from "@/ui/charts/ChartLegend";
import { PictureTable } from "@/ui/charts/PictureTable";

const numbered = (day: Day) => `day ${daysBetween(TRIAL_DAY, day)}`;

/** The picture of a trial, told in days since the find. */
export function TrialPicture({ picture, marks, today }: { picture: DatedPicture; marks: readonly Mark[]; today: Day }) {
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
