import type { Metadata } from "next";
import Link from "next/link";
import { signOnlyIds } from "@/core/diagnosis/suspects";
import { pestIds, pestOf } from "@/core/pests/pests";
import { eggToAdultDays } from "@/core/pests/stageDurations";
import { remedyIds, remedyOf } from "@/core/remedies/remedies";
import { Panel } from "@/ui/Panel";
import { dayCount } from "@/wording/dates";
import { pestNames, remedyNames, signOnlyAdvice, signOnlyNames, smellNames } from "@/wording/names";

export const metadata: Metadata = { title: "Almanac" };

const USUAL_C = 22;

export default function AlmanacPage() {
  return (
    <>
      <h1>Almanac</h1>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="Pests">
            <ul className="list-group list-group-flush">
              {pestIds.map((id) => {
                const days = eggToAdultDays(pestOf(id), USUAL_C);
                return (
                  <li key={id} className="list-group-item px-0 d-flex justify-content-between gap-3">
                    <Link href={`/almanac/pests/${id}`}>{pestNames[id]}</Link>
                    <span className="text-body-secondary">
                      {days !== null && `adult after ${dayCount(Math.round(days))} at ${USUAL_C} °C`}
                    </span>
                  </li>
                );
              })}
            </ul>
          </Panel>
          <Panel title="Named by their signs only">
            <p>No dates are reckoned against these: too little is known of how they live on house plants.</p>
            <dl className="mb-0">
              {signOnlyIds.map((id) => (
                <div key={id} className="mb-1">
                  <dt>{signOnlyNames[id]}</dt>
                  <dd className="mb-0">{signOnlyAdvice[id]}</dd>
                </div>
              ))}
            </dl>
          </Panel>
        </div>
        <div className="col-lg-6">
          <Panel title="Remedies">
            <ul className="list-group list-group-flush">
              {remedyIds.map((id) => (
                <li key={id} className="list-group-item px-0 d-flex justify-content-between gap-3">
                  <Link href={`/almanac/remedies/${id}`}>{remedyNames[id]}</Link>
                  <span className="text-body-secondary">{smellNames[remedyOf(id).smell]}</span>
                </li>
              ))}
            </ul>
          </Panel>
          <Panel title="How it is reckoned">
            <p className="mb-0">
              <Link href="/almanac/method">
                What is from literature, what our own estimate, and how often it was right
              </Link>
            </p>
          </Panel>
          <Panel title="Life cycles">
            <p>
              Two courses side by side against a case of your making: drag a treatment, or how many sit where no spray
              comes, and see what is left and why.
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
        </div>
      </div>
    </>
  );
}
