"use client";

import type { DatedPicture } from "@/core/advice/plans/draw";
import type { Day } from "@/core/shared/days";
import type { PestId } from "@/core/knowledge/pests/pests";
import { CaseChart, type Mark } from "@/ui/charts/CaseChart";
import { LivesChart } from "@/ui/charts/LivesChart";
import { ChartLegend } from "@/ui/charts/ChartLegend";
import { PhoneFold } from "@/ui/PhoneFold";
import { PictureTable } from "@/ui/charts/PictureTable";

interface Props {
  readonly pest: PestId;
  readonly picture: DatedPicture;
  readonly marks: readonly Mark[];
  readonly today: Day;
}

/** A case's picture: the chart, what its lines mean, and the same numbers as a table. */
export function Picture({ pest, picture, marks, today }: Props) {
  return (
    <>
      <LivesChart pest={pest} picture={picture} marks={marks} today={today} />
      <PhoneFold summary="How many over time, and how sure">
        <CaseChart picture={picture} marks={marks} today={today} />
        <ChartLegend stages={picture.stages} />
        <p className="small mb-2">
          The pale band runs from the best case to the worst: how much the treatments miss, and how well the pest breeds
          here. The lower line shows how likely it was over on each day, judged by what was known then.
        </p>
      </PhoneFold>
      <details>
        <summary>The same as a table</summary>
        <PictureTable picture={picture} />
      </details>
    </>
  );
}
