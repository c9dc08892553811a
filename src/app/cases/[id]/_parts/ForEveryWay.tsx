"use client";

import type { DatedComparison } from "@/core/advice/plans/ask";
import { COOL_C, COOL_EVERY_DAYS } from "@/core/advice/planning/search";
import { useUnits } from "@/ui/shell/Collection";
import { beyondSentences } from "@/wording/advice/planning/planning";
import { dayCount } from "@/wording/dates";
import { warmthIn } from "@/wording/units";

/** What holds for every way of a comparison: the cold, and how far what is at hand gets. */
export function ForEveryWay({ comparison }: { comparison: DatedComparison }) {
  const units = useUnits();
  return (
    <>
      {comparison.tooCold && (
        <div className="alert alert-warning" role="note">
          <strong>It is too cold there for the pest to develop.</strong> Treating now only thins it out, and nobody can
          tell when it is over. Move the plant somewhere warmer if it tolerates that, or continue when it is warmer;
          until then remove what you see.
        </div>
      )}
      {comparison.cool && !comparison.tooCold && (
        <p className="mb-2">
          It is below {warmthIn(COOL_C, units)} there: everything grows slowly, so treatments lie{" "}
          {dayCount(COOL_EVERY_DAYS)} or more apart.
        </p>
      )}
      {comparison.beyond && !comparison.tooCold && (
        <div className="alert alert-warning" role="note">
          <strong>Nothing you have gets that far.</strong> {beyondSentences(comparison.beyond).join(" ")}
        </div>
      )}
      {comparison.plans.length === 0 && (
        <div className="alert alert-warning" role="note">
          <strong>This plant tolerates none of the remedies at the moment.</strong> What remains is done by hand: squash
          and pick off what you see, with a loupe, shower it, or release predators.
        </div>
      )}
    </>
  );
}
