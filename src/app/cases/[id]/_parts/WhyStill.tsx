"use client";

import Link from "next/link";
import type { CaseFileInput } from "@/core/format/schema";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/chances";
import { explanationNames, whatToChange } from "@/wording/escalation";

interface Props {
  file: CaseFileInput;
  founders: number;
  caseId: string;
  plantId: string;
}

/** Why there are still some after treatments, each explanation with its odds, and what the likeliest asks for. */
export function WhyStill({ file, founders, caseId, plantId }: Props) {
  const reckoner = useReckoner();
  const key = JSON.stringify([file, founders]);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.explain(file, { founders }), key);
  const [first] = answer ?? [];
  const goes = {
    missed: [`/cases/${caseId}/plan`, "Change the plan"],
    asExpected: [`/plants/${plantId}/look`, "Look"],
    resistant: [`/cases/${caseId}/plan`, "A plan of another kind"],
    reinfested: [`/cases/${caseId}/around`, "Who else, and where from"],
  } as const;
  if (failed) return <NotReckoned again={again} />;
  if (!answer || !first) return null;
  const [href, label] = goes[first.id];
  return (
    <Panel title="Found again after treating: why?">
      <ul className="ps-3 mb-2">
        {answer
          .filter(({ p }) => p >= 0.005)
          .map(({ id, p }) => (
            <li key={id} className={id === first.id ? "fw-semibold" : undefined}>
              {explanationNames[id]}: {percent(p)}
            </li>
          ))}
      </ul>
      <p className="mb-2">{whatToChange[first.id]}</p>
      <Link className="btn btn-outline-primary" href={href}>
        {label}
      </Link>
      <p className="small text-body-secondary mt-2 mb-0">
        Odds of these four against each other, by everything on record. What each is beforehand is our own estimate.
      </p>
    </Panel>
  );
}
