import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { momentNow } from "@/app/_parts/moments";
import { readMove } from "@/operations/plants/queries/readApart";
import { Panel } from "@/ui/Panel";
import { carriesSentence, wayBackSentence } from "@/wording/advice/spread/carries";
import { MoveForm } from "../_parts/MoveForm";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Move a plant" };

export default async function MovePage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const view = await cachedView(context, `move ${id}`, () => readMove(context, id));
  if (!view) notFound();
  const { plant, place, carries, back, openCases, targets } = view;
  const first = targets.find(({ id }) => id === view.before) ?? targets[0];
  const risky = openCases > 0 || (carries?.p ?? 0) >= context.collection.riskPercent / 100;
  return (
    <>
      <h1>
        {back ? "Bring back" : "Move"} {plant.code} {plant.name}
      </h1>
      <AsOf />
      <p>It is here now: {place.name}.</p>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel
            title={risky ? "What that risks" : "What it may bring along"}
            tone={openCases > 0 ? "loud" : undefined}
          >
            {openCases > 0 && (
              <p className="fw-semibold">Its case is still open. Put it among the others only when it is clear.</p>
            )}
            {carries ? <p>{carriesSentence(carries)}</p> : <p>What it may carry is being worked out.</p>}
            {back && carries?.waysBack && <p className="mb-0">{wayBackSentence(carries.waysBack)}</p>}
          </Panel>
        </div>
        <div className="col-lg-6">
          <Panel title="Where to">
            {targets.length === 0 ? (
              <p className="mb-0">There is no other place yet. Add one on Benches first.</p>
            ) : (
              <MoveForm plantId={plant.id} targets={targets} placeId={first!.id} now={momentNow(context)} />
            )}
          </Panel>
        </div>
      </div>
    </>
  );
}
