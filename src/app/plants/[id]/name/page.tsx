import type { Metadata } from "next";
import { usualTool } from "@/core/record/facts/settings";
import { readNaming } from "@/operations/looks/queries/readNaming";
import { plantOf } from "../_parts/plantOf";
import { NameIt } from "./_parts/NameIt";
import { cachedView } from "@/app/_parts/server/cachedView";

export const metadata: Metadata = { title: "Name it" };

export default async function NamePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view } = await plantOf(params);
  const { circumstances, openCases, places } = await cachedView(context, `naming ${view.plant.id}`, () =>
    readNaming(context, view),
  );
  const { id, code, growthForm } = view.plant;
  const { apart, placeId } = view.card;
  const { sensitivities } = view.on.bearer;
  return (
    <NameIt
      stop={{ id, code, growthForm, apart, placeId, circumstances, sensitivities, openCases }}
      places={places}
      tool={usualTool(context.collection.owns)}
    />
  );
}
