import type { Stop } from "@/operations/walks/queries/readWalk";
import { dayInWords } from "@/wording/dates";
import { pestNames, toolNames } from "@/wording/names/names";

/** What was here last time, and the marks that stay. */
export function LastTime({ stop: { last, scars, openCases } }: { stop: Stop }) {
  const names = (pests: Stop["scars"]) => pests.map((pest) => pestNames[pest].toLowerCase()).join(" and ");
  return (
    <div className="walk-last small">
      {last
        ? `Last look ${dayInWords(last.day)}, ${toolNames[last.tool].toLowerCase()}: ${last.pests.length > 0 ? `${names(last.pests)} found` : "nothing"}. ${last.note}`
        : "Never looked at before."}
      {openCases.length > 0 && ` In a case: ${names(openCases.map((one) => one.pest))}.`}
      {scars.length > 0 && ` It has had ${names(scars)}: old marks remain, judge by new growth.`}
    </div>
  );
}
