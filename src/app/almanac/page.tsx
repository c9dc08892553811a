import type { Metadata } from "next";
import Link from "next/link";
import { pestIds, pestOf } from "@/core/pests/pests";
import { eggToAdultDays, stageDays } from "@/core/pests/stageDurations";
import { remedyIds, remedyOf } from "@/core/remedies/remedies";
import { Panel } from "@/ui/Panel";
import { cautionSentences } from "@/wording/cautions";
import { dayCount } from "@/wording/dates";
import { pestNames, remedyNames, smellNames, stageNames, techniqueNames } from "@/wording/names";

export const metadata: Metadata = { title: "Almanac" };

/** Temperatures at which life is told, °C: a cool room, a usual one, under lamps. */
const WARMTHS = [18, 22, 26] as const;

const inDays = (days: number | null) => (days === null ? "stands still" : dayCount(Math.round(days)));

export default function AlmanacPage() {
  return (
    <>
      <h1>Almanac</h1>
      <Panel title="Life cycles">
        <p>
          Try a plan before you adopt it: drag a treatment along the time line and see what it leaves. It is the
          shortest way to see why one spray is never enough.
        </p>
        <Link className="btn btn-primary" href="/almanac/life-cycle">
          To the life cycles
        </Link>
      </Panel>
      <Panel title="Hiding places">
        <p>Where each pest sits on each growth form, drawn: the places in the order of a look.</p>
        <Link className="btn btn-primary" href="/almanac/hiding-places">
          To the drawings
        </Link>
      </Panel>
      <Panel title="How long they live in each stage">
        <p>
          From degree-days above each pest&apos;s own threshold; literature from memory, on the slow side, since house
          plants are poor hosts.
        </p>
        <div className="table-responsive" tabIndex={0} role="region" aria-label="Life stages">
          <table className="table mb-0">
            <thead>
              <tr>
                <th scope="col">Pest</th>
                <th scope="col">Stage</th>
                {WARMTHS.map((meanC) => (
                  <th scope="col" key={meanC}>
                    {meanC} °C
                  </th>
                ))}
              </tr>
            </thead>
            {pestIds.map((id) => {
              const pest = pestOf(id);
              return (
                <tbody key={id}>
                  {pest.stages.map((stage, i) => (
                    <tr key={stage.id}>
                      {i === 0 && (
                        <th scope="rowgroup" rowSpan={pest.stages.length + 1}>
                          {pestNames[id]}
                        </th>
                      )}
                      <td>{stageNames[stage.id]}</td>
                      {WARMTHS.map((meanC) => (
                        <td key={meanC}>{inDays(stageDays(pest, stage, meanC))}</td>
                      ))}
                    </tr>
                  ))}
                  <tr>
                    <td className="fw-semibold">
                      {pest.stages[0]!.id === "egg" ? "egg to adult" : "newborn to adult"}
                    </td>
                    {WARMTHS.map((meanC) => (
                      <td key={meanC} className="fw-semibold">
                        {inDays(eggToAdultDays(pest, meanC))}
                      </td>
                    ))}
                  </tr>
                </tbody>
              );
            })}
          </table>
        </div>
      </Panel>
      {remedyIds.map((id) => {
        const remedy = remedyOf(id);
        return (
          <Panel key={id} title={remedyNames[id]}>
            <p>
              {remedy.techniques.map((technique) => techniqueNames[technique].toLowerCase()).join(", ")}. Not again
              before {dayCount(remedy.smallestIntervalDays)}, at most {remedy.mostTimes} times;{" "}
              {smellNames[remedy.smell]}.
            </p>
            <ul className="mb-0 ps-3">
              {remedy.cautions.map((caution) => (
                <li key={caution}>{cautionSentences[caution]}</li>
              ))}
            </ul>
          </Panel>
        );
      })}
    </>
  );
}
