import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/context";
import { momentNow } from "@/app/_parts/moments";
import { kept } from "@/app/_parts/kept";
import { groupAsked, readGroup } from "@/operations/readGroup";
import { SessionForm } from "./_parts/SessionForm";
import { Who } from "./_parts/Who";

export const metadata: Metadata = { title: "Several plants at once" };

/** One act on many plants: who, what, the cans it takes, and one press when it is done. */
export default async function SessionPage({
  searchParams,
}: {
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}) {
  const context = await currentContext("record");
  const { who, id } = await searchParams;
  const asked = groupAsked(who, id);
  const name = `${context.collection.id} group ${JSON.stringify(asked)}`;
  const { view } = await kept(name, () => readGroup(context, asked));
  const { plants, all, places, pests } = view;
  return (
    <>
      <h1>Several plants at once</h1>
      <Who asked={asked} places={places} pests={pests} />
      {asked && plants.length === 0 && <p>No plant is there of these.</p>}
      {all > plants.length && (
        <p className="fw-semibold">
          The first {plants.length} of {all}: do them in parts, place by place.
        </p>
      )}
      {plants.length > 0 && (
        <SessionForm
          key={JSON.stringify(asked)}
          plants={plants}
          measuring={context.collection}
          now={momentNow(context)}
        />
      )}
    </>
  );
}
