import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { signOnlyIds } from "@/core/knowledge/signs/suspects";
import { pestIds, pestOf } from "@/core/knowledge/pests/pests";
import { eggToAdultDays } from "@/core/knowledge/pests/stageDurations";
import { remedyIds, remedyOf } from "@/core/knowledge/remedies/remedies";
import { Panel } from "@/ui/Panel";
import { dayCount } from "@/wording/dates";
import { pestNames, remedyNames, signOnlyAdvice, signOnlyNames, smellNames } from "@/wording/names/names";

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
          <Panel title="Named by their signs, without dates">
            <p>No dates are worked out for these: too little is known about how they live on house plants.</p>
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
          <Panel title="How it is worked out">
            <p className="mb-0">
              <Link href="/almanac/method">
                What comes from the literature, what we estimate ourselves, and how often it is right
              </Link>
            </p>
          </Panel>
          <Panel title="Life cycles">
            <p>
              Two courses side by side against a case of your own making: drag a treatment, and see what is left and
              why.
            </p>
            <Link className="btn btn-primary" href="/almanac/life-cycle">
              Open life cycles
            </Link>
          </Panel>
          <Panel title="Hiding places">
            <p>Where each pest sits on each growth form, drawn, in the order you look.</p>
            <Link className="btn btn-primary" href="/almanac/hiding-places">
              See the drawings
            </Link>
          </Panel>
        </div>
      </div>
    </>
  );
}
