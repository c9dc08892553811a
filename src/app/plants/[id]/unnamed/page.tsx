import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { readUnnamed } from "@/operations/cases/queries/readUnnamed";
import { Steps } from "@/app/_parts/Steps";
import { Panel } from "@/ui/Panel";
import { plannedInWords } from "@/wording/names/acts";
import { dayInWords } from "@/wording/dates";
import { signNames, testOn } from "@/wording/names/signs";
import { answerSentence, candidatesSentence } from "@/wording/advice/planning/unnamed";
import { PlanAcrossSuspects } from "./_parts/PlanAcrossSuspects";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Not named yet" };

export default async function UnnamedPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const read = await cachedView(context, `unnamed ${id}`, () => readUnnamed(context, id));
  if (!read) notFound();
  const { plant, open } = read;
  if (!open) {
    return (
      <>
        <h1>
          {plant.code} {plant.name}: no unnamed signs
        </h1>
        <p>
          No unnamed signs on this plant. <Link href={`/plants/${plant.id}`}>To the plant</Link>
        </p>
      </>
    );
  }
  const { about, observed, since, question, plan } = open;
  const seen = (["present", "absent"] as const).map((is) =>
    Object.entries(observed)
      .filter(([, what]) => what === is)
      .map(([sign]) => signNames[sign as keyof typeof signNames]),
  );
  return (
    <>
      <h1>
        {plant.code} {plant.name}: not named yet
      </h1>
      <AsOf />
      <p className="fs-5 mb-2">{candidatesSentence(about)}</p>
      <p>
        Since {dayInWords(since)}. There: {seen[0]!.join("; ").toLowerCase()}.
        {seen[1]!.length > 0 && ` Not present: ${seen[1]!.join("; ").toLowerCase()}.`}
      </p>
      <div className="row gx-3">
        <div className="col-lg-5">
          <Panel title={`Decide by ${dayInWords(about.decideOn)}`}>
            {about.test ? (
              <>
                <p className="fw-semibold mb-1">
                  {testOn(about.test.id, plant.growthForm).name}
                  {about.test.on === question.today
                    ? ", which you can do now"
                    : `, with an answer on ${dayInWords(about.test.on)}`}
                </p>
                <p className="mb-2">{testOn(about.test.id, plant.growthForm).how}</p>
                <ul className="ps-3">
                  {about.test.answers.map((answer) => (
                    <li key={answer.sign ?? "none"}>{answerSentence(answer)}</li>
                  ))}
                </ul>
              </>
            ) : (
              <p>No test would tell more now. Look again then: new growth will show.</p>
            )}
            <Link className="btn btn-primary" href={`/plants/${plant.id}/name`}>
              Name it
            </Link>
          </Panel>
        </div>
        <div className="col-lg-7">
          {plan && (
            <Panel title="Chosen until then">
              <p className="mb-2">
                {[...new Set(plan.steps.flatMap(({ dose }) => (dose ? [plannedInWords(dose)] : [])))].join(", then ")}
              </p>
              <Steps plan={plan} today={question.today} open />
            </Panel>
          )}
          {about.candidates.length > 0 ? (
            <PlanAcrossSuspects
              plantId={plant.id}
              question={question}
              chosen={plan && plan.steps.map(({ dueOn }) => dueOn)}
            />
          ) : (
            <Panel title="Until then">
              <p className="mb-0">Set it apart and do not treat it: no dates can be worked out for what it may be.</p>
            </Panel>
          )}
        </div>
      </div>
    </>
  );
}
