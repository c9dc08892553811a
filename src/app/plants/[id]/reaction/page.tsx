import type { Metadata } from "next";
import { standing } from "@/core/facts/facts";
import { ReactionForm } from "../_parts/ReactionForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "How it bore a treatment" };

export default async function ReactionPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, now } = await plantOf(params);
  const { plant, record } = view;
  const last = standing(record.acts)
    .map(({ act }) => act)
    .findLast((act) => act.kind === "contact");
  return (
    <>
      <h1>
        {plant.code} {plant.name}: how it bore a treatment
      </h1>
      <p>What is proposed for it next becomes milder; what it has borne badly in the mildest mix is refused.</p>
      <ReactionForm plantId={plant.id} now={now} mix={last?.mix ?? "soapMild"} technique={last?.technique ?? "spray"} />
    </>
  );
}
