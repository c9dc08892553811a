import type { Metadata } from "next";
import { usualTool } from "@/core/record/facts/settings";
import { LookForm } from "../_parts/LookForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Look" };

interface Props {
  params: Promise<{ id: string }>;
  /** `all`: the inspection of one that has come, every place beforehand. `kept`: an entry of this browser that the server would not take, to be mended. */
  searchParams: Promise<{ kept?: string | string[]; all?: string | string[] }>;
}

export default async function LookPage({ params, searchParams }: Props) {
  const { context, view, now } = await plantOf(params);
  const { kept, all } = await searchParams;
  const { plant } = view;
  const { owns } = context.collection;
  return (
    <>
      <h1>
        Look at {plant.code} {plant.name}
      </h1>
      <p>
        Lift and turn it. Start inside, at the base and the crown, and work outwards: both sides of each leaf, the wall
        side too, then the pot.
      </p>
      {all !== undefined && (
        <p className="alert alert-info" role="note">
          For a new arrival: check the wrapping, saucer and label too; under the rim and through the holes of the pot;
          the top of the mix; each joint. Use good light, away from the others. If it slips out of its pot easily, look
          at the roots and say so in the note. Untick what you did not look at.
        </p>
      )}
      <LookForm
        plantId={plant.id}
        growthForm={plant.growthForm}
        now={now}
        tool={all !== undefined && owns.includes("loupe") ? "loupe" : usualTool(owns)}
        all={all !== undefined}
        openPests={view.open.map(({ found }) => found.pest)}
        mending={typeof kept === "string" ? kept : null}
      />
    </>
  );
}
