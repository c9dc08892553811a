"use client";

import type { OutOfSeasonQuestion } from "@/core/advice/plans/ask";
import { daysBetween } from "@/core/shared/days";
import type { CaseFileInput } from "@/core/record/format/schema";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { outOfSeasonSentences } from "@/wording/advice/seasons/roots";

/** Now or in spring: what each comes to in chances, for a plant that rests. */
export function Season({ file, question }: { file: CaseFileInput; question: OutOfSeasonQuestion }) {
  const reckoner = useReckoner();
  const key = JSON.stringify(question);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.outOfSeason(file, question), key);
  if (failed) return <NotReckoned again={again} />;
  if (!answer) return <p>Working out what waiting until spring would mean …</p>;
  const [proposal, ...rest] = outOfSeasonSentences(answer, daysBetween(question.first, question.spring));
  return (
    <div className="alert alert-warning" role="note">
      <p className="fw-semibold mb-1">{proposal}</p>
      {rest.map((sentence) => (
        <p key={sentence} className="mb-1">
          {sentence}
        </p>
      ))}
    </div>
  );
}
