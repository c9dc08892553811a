import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { restsDry } from "@/core/advice/tolerance/treatedPlant";
import { pestNames } from "@/wording/names/names";
import { caseOf } from "../_parts/caseOf";
import { AllInOne } from "../_parts/AllInOne";

export const metadata: Metadata = { title: "Everything in one day" };

/** Everything in one day, to go down step by step and write down with one press. */
export default async function BlitzPage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await caseOf(params);
  const { plant, found, on } = view;
  return (
    <>
      <h1>
        Everything in one day: {plant.code} {plant.name}, {pestNames[found.pest].toLowerCase()}
      </h1>
      {restsDry(on.bearer) ? (
        <p>
          It is resting dry: do not wash or spray it before it starts growing.{" "}
          <Link href={`/cases/${found.id}/decide`}>See what else you can do</Link>
        </p>
      ) : (
        <>
          <p>
            Read the cautions, then work down the list. Untick what you leave out; everything ticked is recorded
            together.
          </p>
          <AllInOne caseId={found.id} plantId={plant.id} bearer={on.bearer} tool={on.tool} />
        </>
      )}
    </>
  );
}
