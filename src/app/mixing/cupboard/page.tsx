import type { Metadata } from "next";
import Link from "next/link";
import { currentContext } from "@/app/_parts/context";
import { inUse, type Bottle } from "@/core/household/bottles";
import { homeObjections } from "@/core/household/household";
import { groupOf } from "@/core/household/products";
import { Panel } from "@/ui/Panel";
import { shortObjections } from "@/wording/cautions";
import { dayCount, dayInWords } from "@/wording/dates";
import { allowedNames, productNames } from "@/wording/household";

export const metadata: Metadata = { title: "Cupboard" };

/** The bottles there are, and what their labels say. */
export default async function CupboardPage() {
  const { collection } = await currentContext();
  const there = inUse(collection.bottles);
  const empty = collection.bottles.filter((bottle) => !there.includes(bottle));
  const home = { household: collection.household, notAllowed: collection.notAllowed, bottles: there };
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-baseline justify-content-between">
        <h1>Cupboard</h1>
        <Link className="btn btn-primary" href="/mixing/cupboard/new">
          A bottle more
        </Link>
      </div>
      <p>
        What a label says goes before every recipe and every interval here. Some ingredients are proposed only once a
        bottle of them stands in this list.
      </p>
      {there.length === 0 && <p>Nothing is written down yet.</p>}
      <div className="row gx-3">
        {there.map((bottle) => (
          <div className="col-md-6 col-xl-4" key={bottle.id}>
            <Panel title={<Link href={`/mixing/cupboard/${bottle.id}`}>{bottle.name}</Link>}>
              <BottleLines bottle={bottle} />
              {homeObjections(bottle.active, home, { sensitivities: [] })
                .filter(({ level }) => level === "refuse")
                .map(({ code }) => (
                  <p key={code} className="text-danger-emphasis fw-semibold mb-0">
                    Not proposed: {shortObjections[code]}.
                  </p>
                ))}
            </Panel>
          </div>
        ))}
      </div>
      {empty.length > 0 && (
        <details>
          <summary>Empty ones ({empty.length})</summary>
          <ul>
            {empty.map((bottle) => (
              <li key={bottle.id}>
                <Link href={`/mixing/cupboard/${bottle.id}`}>{bottle.name}</Link>, empty on{" "}
                {dayInWords(bottle.emptiedOn!)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function BottleLines({ bottle }: { bottle: Bottle }) {
  const { active, percent, perLitre, unit, everyDays, mostTimes, allowed, openedOn, bestBefore } = bottle;
  const group = groupOf(active);
  const says = [
    perLitre !== null && `${perLitre} ${unit} in a litre`,
    everyDays !== null && `not again before ${dayCount(everyDays)}`,
    mostTimes !== null && `at most ${mostTimes} times a season`,
  ].filter(Boolean);
  return (
    <>
      <p className="mb-1">
        {productNames[active]}
        {percent !== null && ` ${percent} %`}
        {group && `, IRAC group ${group}`}.
      </p>
      <p className="mb-1">{says.length > 0 ? `Label: ${says.join(", ")}.` : "Of the label nothing is written down."}</p>
      <p className="mb-1">
        {allowed.length > 0
          ? `Allowed: ${allowed.map((one) => allowedNames[one].toLowerCase()).join(", ")}.`
          : "Allowed nowhere."}
        {openedOn && ` Opened ${dayInWords(openedOn)}.`}
        {bestBefore && ` Best before ${dayInWords(bestBefore)}.`}
      </p>
    </>
  );
}
