import { Link } from "@/ui/Link";
import type { Happening } from "@/core/advice/replay/replay";
import { Panel } from "@/ui/Panel";
import { shortDay } from "@/wording/dates";

const MOST = 12;

/** What happened in the week up to the day that is shown, in words. */
export function InWeek({
  happenings,
  sentence,
}: {
  happenings: readonly Happening[];
  sentence: (happening: Happening) => string;
}) {
  const shown = happenings.toReversed().slice(0, MOST);
  return (
    <Panel title="In the week before">
      {shown.length === 0 && <p className="mb-0">Nothing found, treated or moved.</p>}
      <ul className="list-unstyled mb-0">
        {shown.map((one, i) => (
          <li key={i}>
            {shortDay(one.day)}:{" "}
            {one.caseId ? <Link href={`/cases/${one.caseId}`}>{sentence(one)}</Link> : sentence(one)}
          </li>
        ))}
      </ul>
      {happenings.length > MOST && <p className="small mb-0 mt-1">And {happenings.length - MOST} more.</p>}
    </Panel>
  );
}
