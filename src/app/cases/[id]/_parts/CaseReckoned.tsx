"use client";

import dynamic from "next/dynamic";
import type { DatedDose } from "@/core/advice/plans/draw";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import type { CaseFileInput } from "@/core/record/format/schema";
import type { Day } from "@/core/shared/days";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { Mark } from "@/ui/charts/CaseChart";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { WhatIf } from "./WhatIf";

// Charts are heavy: they come when a picture is there to be drawn.
const Picture = dynamic(() => import("./Picture").then((module) => module.Picture), {
  ssr: false,
  loading: () => <p className="mb-0">Drawing …</p>,
});

interface Props {
  readonly pest: PestId;
  readonly file: CaseFileInput;
  readonly byOurs: number | null;
  readonly on: OnPlant;
  readonly coming: readonly DatedDose[];
  readonly marks: readonly Mark[];
  readonly today: Day;
  readonly until: Day;
  readonly open: boolean;
  readonly pClear: number | null;
}

/** What the engine draws and supposes for a case, reckoned in the browser's own worker. */
export function CaseReckoned({ pest, file, byOurs, on, coming, marks, today, until, open, pClear }: Props) {
  const reckoner = useReckoner();
  const key = JSON.stringify([file, coming, until]);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.draw(file, coming, until, on), key);
  return (
    <>
      <Panel title="How many are probably left">
        {failed && <NotReckoned again={again} />}
        {!failed && !answer && <p className="mb-0">Working it out …</p>}
        {answer && <Picture pest={pest} picture={answer} marks={marks} today={today} />}
      </Panel>
      {open && pClear !== null && <WhatIf reckoner={reckoner} file={file} byOurs={byOurs} pClear={pClear} />}
    </>
  );
}
