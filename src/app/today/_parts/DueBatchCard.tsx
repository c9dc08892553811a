import { Link } from "@/ui/Link";
import { cautionsOfWork } from "@/core/acts/works";
import { isMix } from "@/core/knowledge/mixes/mixes";
import type { DueBatch } from "@/operations/plants/queries/readToday";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { CautionList, Cautions } from "@/ui/Cautions";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { volumeIn } from "@/wording/units";
import { dayCount } from "@/wording/dates";
import { treatmentName } from "@/wording/names/acts";
import { pestName } from "@/wording/names/names";

/** All that is due of one mix or one work: one volume to mix, its cautions, its plants. */
export function DueBatchCard({ batch, measuring }: { batch: DueBatch; measuring: Measuring }) {
  const { units } = measuring;
  const { what, due, totalMl } = batch;
  const volume = totalMl > 0 ? `, about ${volumeIn(totalMl, units)} in all` : "";
  return (
    <Panel title={treatmentName(what)}>
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
      <Link className="btn btn-primary" href={`/session/due/${what}`}>
        Start
      </Link>
    </Panel>
  );
}
