import Link from "next/link";
import type { Sitting } from "@/operations/readToday";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { Cautions } from "@/ui/Cautions";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { millilitres } from "@/wording/amounts";
import { dayCount } from "@/wording/dates";
import { mixNames, pestNames } from "@/wording/names";

/** All treatments of one mix that are due: one volume to mix, its cautions, its plants. */
export function SittingCard({ sitting, measuring }: { sitting: Sitting; measuring: Measuring }) {
  return (
    <Panel title={mixNames[sitting.mix]}>
      <p>
        {sitting.due.length === 1 ? "One plant" : `${sitting.due.length} plants`}, about {millilitres(sitting.totalMl)}{" "}
        in all.
      </p>
      <ul className="list-group list-group-flush mb-3">
        {sitting.due.map((line) => (
          <PlantLine
            key={line.stepId}
            plant={line.plant}
            note={`${pestNames[line.pest].toLowerCase()}, ${line.daysLate > 0 ? `${dayCount(line.daysLate)} late` : "due today"}, ${millilitres(line.volumeMl)}`}
          />
        ))}
      </ul>
      <details className="mb-3">
        <summary>Cautions and amounts</summary>
        <Cautions mix={sitting.mix} />
        <Amounts mix={sitting.mix} totalMl={sitting.totalMl} measuring={measuring} />
      </details>
      <Link className="btn btn-primary" href={`/sitting/${sitting.mix}`}>
        Begin
      </Link>
    </Panel>
  );
}
