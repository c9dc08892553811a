"use client";

import type { OutOfSeasonQuestion } from "@/core/case/ask";
import { daysBetween } from "@/core/climate/days";
import type { CaseFileInput } from "@/core/format/schema";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { outOfSeasonSentences } from "@/wording/roots";

/** Now or in spring: what each comes to in chances, for a plant that rests. */
export function Season({ file, question }: { file: CaseFileInput; question: OutOfSeasonQuestion }) {
  const reckoner = useReckoner();
  const key = JSON.stringify(question);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.outOfSeason(file, question), key);
  if (failed) return <NotReckoned again={again} />;
  if (!answer) return <p>Reckoning what the rest until spring would come to …</p>;
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
