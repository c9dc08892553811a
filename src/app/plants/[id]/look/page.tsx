import type { Metadata } from "next";
import { usualTool } from "@/core/facts/settings";
import { LookForm } from "../_parts/LookForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Look" };

interface Props {
  params: Promise<{ id: string }>;
  /** `kept`: an entry of this browser that the server would not take, to be mended. */
  searchParams: Promise<{ kept?: string | string[] }>;
}

export default async function LookPage({ params, searchParams }: Props) {
  const { context, view, now } = await plantOf(params);
  const { kept } = await searchParams;
  const { plant } = view;
  return (
    <>
      <h1>
        Look at {plant.code} {plant.name}
      </h1>
      <p>
        Lift and turn it. Begin inside, at the base and the crown, and work outwards: both faces of each leaf, the wall
        side too, then the pot.
      </p>
      <LookForm
        plantId={plant.id}
        growthForm={plant.growthForm}
        now={now}
        tool={usualTool(context.collection.owns)}
        openPests={view.open.map(({ found }) => found.pest)}
        mending={typeof kept === "string" ? kept : null}
      />
    </>
  );
}
