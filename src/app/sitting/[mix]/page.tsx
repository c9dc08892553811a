import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { TreatForm } from "@/app/cases/[id]/_parts/TreatForm";
import { mixIds } from "@/core/mixing/mixes";
import { localTimeOf } from "@/operations/context";
import { readCase } from "@/operations/readCase";
import { readToday } from "@/operations/readToday";
import { millilitres } from "@/wording/amounts";
import { mixNames, pestNames } from "@/wording/names";

export const metadata: Metadata = { title: "Sitting" };

/** One plant after the other, until nothing of this mix is due any more. */
export default async function SittingPage({ params }: { params: Promise<{ mix: string }> }) {
  const { mix: asked } = await params;
  const mix = mixIds.find((id) => id === asked);
  if (!mix) notFound();
  const context = await currentContext();
  const sitting = (await readToday(context)).sittings.find((one) => one.mix === mix);
  const line = sitting?.due[0];
  const view = line && (await readCase(context, line.caseId));
  if (!sitting || !line || !view) {
    return (
      <>
        <h1>{mixNames[mix]}: done</h1>
        <p>
          Nothing more is due of this mix today. Wash up: bottle, tools, hands and sleeves. Leftovers go by local rules,
          never down the drain.
        </p>
        <Link className="btn btn-primary" href="/today">
          To today
        </Link>
      </>
    );
  }
  const { plant, place, sensitivities } = view.view;
  return (
    <>
      <p className="text-body-secondary mb-0">
        {mixNames[mix]}: {sitting.due.length} to go, {millilitres(sitting.totalMl)} in all
      </p>
      <h1>
        {plant.code} {plant.name}
      </h1>
      <p>
        {place.name}. Against {pestNames[line.pest].toLowerCase()}.
      </p>
      <TreatForm
        key={line.step.id}
        caseId={line.caseId}
        plan={view.plan}
        plant={{ sensitivities, inFlower: plant.inFlower }}
        growthForm={plant.growthForm}
        volumeMl={line.volumeMl}
        measuring={context.collection}
        nowLocal={localTimeOf(context, context.now)}
        then={`/sitting/${mix}`}
      />
    </>
  );
}
