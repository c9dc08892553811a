"use client";

import type { DatedPicture } from "@/core/case/draw";
import type { Day } from "@/core/climate/days";
import { CaseChart, type Mark } from "@/ui/charts/CaseChart";
import { ChartLegend } from "@/ui/charts/ChartLegend";
import { PictureTable } from "@/ui/charts/PictureTable";

interface Props {
  readonly picture: DatedPicture;
  readonly marks: readonly Mark[];
  readonly today: Day;
}

/** A case's picture: the chart, what its lines mean, and the same numbers as a table. */
export function Picture({ picture, marks, today }: Props) {
  return (
    <>
      <CaseChart picture={picture} marks={marks} today={today} />
      <ChartLegend stages={picture.stages} />
      <p className="small mb-2">
        The pale band runs from the mildest to the worst of the ways it may be: how much the treatments miss, how well
        the pest breeds here. The lower line is how likely it was over on each day, by what was known then.
      </p>
      <details>
        <summary>The same as a table</summary>
        <PictureTable picture={picture} />
      </details>
    </>
  );
}
