import { Link } from "@/ui/Link";
import { cautionsOfWork } from "@/core/acts/works";
import { isForGroup } from "@/core/advice/sessions/session";
import { isMix } from "@/core/knowledge/mixes/mixes";
import type { Sitting } from "@/operations/plants/queries/readToday";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList, Cautions } from "@/ui/Cautions";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { Only } from "@/ui/shell/Only";
import { volumeIn } from "@/wording/units";
import { dayCount } from "@/wording/dates";
import { sittingName } from "@/wording/names/acts";
import { pestName } from "@/wording/names/names";

/** All that is due of one mix or one work: one volume to mix, its cautions, its plants. */
export function SittingCard({ sitting, measuring }: { sitting: Sitting; measuring: Measuring }) {
  const { units } = measuring;
  const { what, due, totalMl } = sitting;
  const together = due.filter(({ planned }) => isForGroup(planned)).length;
  const volume = totalMl > 0 ? `, about ${volumeIn(totalMl, units)} in all` : "";
  return (
    <Panel title={sittingName(what)}>
      <p>
        {due.length === 1 ? "One plant" : `${due.length} plants`}
        {volume}.
      </p>
      <ul className="list-group list-group-flush mb-3">
        {due.map((line) => (
          <PlantLine
            key={line.stepId}
            plant={line.plant}
            note={`${pestName(line.pest)}, ${line.daysLate > 0 ? `${dayCount(line.daysLate)} late` : "due today"}${line.volumeMl > 0 ? `, ${volumeIn(line.volumeMl, units)}` : ""}`}
          />
        ))}
      </ul>
      <details className="mb-3">
        <summary>{isMix(what) ? "Cautions and amounts" : "Cautions"}</summary>
        {isMix(what) ? (
          <>
            <Cautions mix={what} />
            <Amounts mix={what} totalMl={totalMl} measuring={measuring} />
          </>
        ) : (
          <CautionList against={[]} cautions={cautionsOfWork(what)} />
        )}
      </details>
      <div className="d-flex flex-wrap gap-2">
        <Link className="btn btn-primary" href={`/sitting/${what}`}>
          Start
        </Link>
        {together > 1 && (
          <Only right="record">
            <Link className="btn btn-outline-primary" href={`/session?who=due&id=${what}`}>
              {/* Those that are dabbed or unpotted are done plant by plant, and are not among them. */}
              {together === due.length ? "Do them all at once" : `${together} of them at once`}
            </Link>
          </Only>
        )}
      </div>
    </Panel>
  );
}
