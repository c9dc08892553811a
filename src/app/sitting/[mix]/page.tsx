import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { ActForm } from "@/app/_parts/act/ActForm";
import { momentNow } from "@/app/_parts/moments";
import { treatmentsToCome } from "@/core/case/plans";
import { mixIds } from "@/core/mixing/mixes";
import { readSitting } from "@/operations/readSitting";
import { millilitres } from "@/wording/amounts";
import { mixNames, pestNames } from "@/wording/names";

export const metadata: Metadata = { title: "Sitting" };

/** One plant after the other, until nothing of this mix is due any more. */
export default async function SittingPage({ params }: { params: Promise<{ mix: string }> }) {
  const { mix: asked } = await params;
  const mix = mixIds.find((id) => id === asked);
  if (!mix) notFound();
  const context = await currentContext("see");
  const due = await readSitting(context, mix);
  const line = due?.sitting.due[0];
  if (!due || !line) {
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
  const { sitting, view } = due;
  const { found, plant, place } = view;
  const { id, growthForm, potCm } = plant;
  const cases = [{ id: found.id, name: pestNames[found.pest] }];
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
      <ActForm
        key={line.stepId}
        on={{ plant: { id, growthForm, potCm, bearer: view.on.bearer, cases } }}
        measuring={context.collection}
        now={momentNow(context)}
        steps={view.plan ? treatmentsToCome(view.plan) : []}
        volumeMl={line.volumeMl}
        then={`/sitting/${mix}`}
        label="Treated"
      />
    </>
  );
}
