"use client";

import { Link } from "@/ui/Link";
import type { CaseFileInput } from "@/core/record/format/schema";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/advice/chances";
import { explanationNames, whatToChange } from "@/wording/advice/planning/escalation";

/** What is less likely than this is not told. */
const SHOWN_FROM = 0.05;

interface Props {
  /** Whether clean looks since have made it old news: it is folded then. */
  folded: boolean;
  file: CaseFileInput;
  founders: number;
  caseId: string;
  plantId: string;
}

/** Why there are still some after treatments, each explanation with its odds, and what the likeliest asks for. */
export function WhyStill({ folded, file, founders, caseId, plantId }: Props) {
  const reckoner = useReckoner();
  const key = JSON.stringify([file, founders]);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.explain(file, { founders }), key);
  const shown = (answer ?? []).filter(({ p }) => p >= SHOWN_FROM);
  const total = shown.reduce((sum, { p }) => sum + p, 0);
  const [first] = shown;
  const goes = {
    missed: [`/cases/${caseId}/plan`, "Change the plan"],
    asExpected: [`/plants/${plantId}/look`, "Look"],
    resistant: [`/cases/${caseId}/plan`, "Make a different plan"],
    reinfested: [`/cases/${caseId}/around`, "Who else has it, and where it came from"],
  } as const;
  if (failed) return <NotReckoned again={again} />;
  if (!first) return null;
  const [href, label] = goes[first.id];
  const reasons = (
    <>
      <ul className="ps-3 mb-2">
        {shown.map(({ id, p }) => (
          <li key={id} className={id === first.id ? "fw-semibold" : undefined}>
            {explanationNames[id]}: {percent(p / total)}
          </li>
        ))}
      </ul>
      <p className="mb-2">{whatToChange[first.id]}</p>
      <Link className="btn btn-outline-primary" href={href}>
        {label}
      </Link>
      <p className="small text-body-secondary mt-2 mb-0">
        How likely each of these four is, by everything on record. The starting odds are our own estimate.
      </p>
    </>
  );
  const title = "Found again after treatment: why?";
  return folded ? (
    <details className="mb-3">
      <summary>{title}</summary>
      {reasons}
    </details>
  ) : (
    <Panel title={title}>{reasons}</Panel>
  );
}
