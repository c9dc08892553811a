import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { ActForm } from "@/app/_parts/act/ActForm";
import { momentNow } from "@/app/_parts/moments";
import { workIds } from "@/core/acts/works";
import { isMix, mixIds } from "@/core/mixing/mixes";
import { readSitting } from "@/operations/readSitting";
import { sittingName } from "@/wording/acts";
import { millilitres } from "@/wording/amounts";
import { pestName, pestNames } from "@/wording/names";

export const metadata: Metadata = { title: "Sitting" };

/** One plant after the other, until nothing of it is due any more. */
export default async function SittingPage({ params }: { params: Promise<{ what: string }> }) {
  const { what: asked } = await params;
  const what = [...mixIds, ...workIds].find((id) => id === asked);
  if (!what) notFound();
  const context = await currentContext("see");
  const due = await readSitting(context, what);
  const line = due?.sitting.due[0];
  if (!due || !line) {
    return (
      <>
        <h1>{sittingName(what)}: done</h1>
        <p>
          Nothing more of this is due today. Wash up: bottle, tools, hands and sleeves. Leftovers go by local rules,
          never down the drain.
        </p>
        <Link className="btn btn-primary" href="/today">
          To today
        </Link>
      </>
    );
  }
  const { sitting, turn } = due;
  const { found, plant, place, on, steps } = turn;
  const { id, growthForm, potCm } = plant;
  const cases = found ? [{ id: found.id, name: pestNames[found.pest] }] : [];
  return (
    <>
      <p className="text-body-secondary mb-0">
        {sittingName(what)}: {sitting.due.length} to go
        {sitting.totalMl > 0 && `, ${millilitres(sitting.totalMl)} in all`}
      </p>
      <h1>
        {plant.code} {plant.name}
      </h1>
      <p>
        {place.name}. Against {pestName(line.pest)}.
      </p>
      <ActForm
        key={line.stepId}
        on={{ plant: { id, growthForm, potCm, bearer: on.bearer, cases } }}
        measuring={context.collection}
        now={momentNow(context)}
        steps={steps}
        volumeMl={isMix(what) ? line.volumeMl : undefined}
        then={`/sitting/${what}`}
        label="Treated"
      />
    </>
  );
}
