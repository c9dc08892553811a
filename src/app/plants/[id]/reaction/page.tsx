import type { Metadata } from "next";
import { standing } from "@/core/record/facts/facts";
import { ReactionForm } from "../_parts/ReactionForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "How it reacted to a treatment" };

export default async function ReactionPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, now } = await plantOf(params);
  const { plant, record } = view;
  const last = standing(record.acts)
    .map(({ act }) => act)
    .findLast((act) => act.kind === "contact");
  return (
    <>
      <h1>
        {plant.code} {plant.name}: how it reacted to a treatment
      </h1>
      <p>The next suggestions become milder; a remedy it reacted badly to in its mildest mix is no longer suggested.</p>
      <ReactionForm plantId={plant.id} now={now} mix={last?.mix ?? "soapMild"} technique={last?.technique ?? "spray"} />
    </>
  );
}
