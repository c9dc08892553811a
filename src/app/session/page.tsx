import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/server/context";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { momentNow } from "@/app/_parts/moments";
import { groupAsked, readGroup, type GivenGroup } from "@/operations/sessions/queries/readGroup";
import { givenNames } from "@/wording/advice/seasons/seasons";
import { FreeSession } from "./_parts/FreeSession";
import { GivenSession } from "./_parts/GivenSession";
import { Who } from "./_parts/Who";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

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
  const view = await cachedView(context, `group ${JSON.stringify(asked)}`, () => readGroup(context, asked));
  const { plants, steps, all, places, pests, paces, levels } = view;
  const run = { plants, paces, levels, measuring: context.collection, now: momentNow(context) };
  return (
    <>
      <h1>{asked && steps ? givenNames[asked.who as GivenGroup] : "Several plants at once"}</h1>
      <AsOf />
      {!steps && <Who asked={asked} places={places} pests={pests} />}
      {!steps && plants.length === 0 && <NotSentYet />}
      {asked && !steps && plants.length === 0 && <p>There are no such plants.</p>}
      {all > plants.length && (
        <p className="fw-semibold">
          The first {plants.length} of {all}: do them in batches, {steps ? "and come back" : "place by place"}.
        </p>
      )}
      {steps ? (
        <GivenSession key={JSON.stringify(asked)} steps={steps} {...run} />
      ) : (
        plants.length > 0 && <FreeSession key={JSON.stringify(asked)} {...run} />
      )}
    </>
  );
}
