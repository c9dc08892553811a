import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext } from "@/app/_parts/server/context";
import type { Day } from "@/core/shared/days";
import { inUse } from "@/core/knowledge/household/bottles";
import { datesOf, type Level } from "@/core/advice/household/cupboard";
import { homeObjections } from "@/core/knowledge/household/household";
import { groupOf } from "@/core/knowledge/household/products";
import { readCupboard } from "@/operations/household/queries/readCupboard";
import { Panel } from "@/ui/Panel";
import { lastingSentence } from "@/wording/advice/cupboard";
import { rateIn, volumeIn, type Units } from "@/wording/units";
import { shortObjections } from "@/wording/advice/cautions";
import { dayAndYear, dayCount, dayInWords } from "@/wording/dates";
import { activeNames, allowedNames } from "@/wording/names/household";
import { pestNames } from "@/wording/names/names";
import { cachedView } from "@/app/_parts/server/cachedView";

export const metadata: Metadata = { title: "Cupboard" };

/** The bottles there are, what their labels say, what is left in them, and whether that will do. */
export default async function CupboardPage() {
  const context = await currentContext();
  const { collection } = context;
  const { day, levels, lasting, yearCost, caseCosts } = await cachedView(context, "cupboard", () =>
    readCupboard(context),
  );
  const there = levels.filter(({ bottle }) => bottle.emptiedOn === null);
  const empty = levels.filter(({ bottle }) => bottle.emptiedOn !== null);
  const home = { ...collection, bottles: inUse(collection.bottles) };
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-baseline justify-content-between">
        <h1>Cupboard</h1>
        <Link className="btn btn-primary" href="/mixing/cupboard/new">
          Add a bottle
        </Link>
      </div>
      <AsOf />
      <p>
        The label comes before every recipe and interval here. Some ingredients are only suggested once you have added a
        bottle of them.
      </p>
      <div className="row gx-3">
        <div className="col-lg-8">
          {there.length === 0 && <p>Nothing recorded yet.</p>}
          <div className="row gx-3">
            {there.map((level) => (
              <div className="col-md-6" key={level.bottle.id}>
                <Panel title={<Link href={`/mixing/cupboard/${level.bottle.id}`}>{level.bottle.name}</Link>}>
                  <BottleLines units={collection.units} level={level} today={day} />
                  {homeObjections(level.bottle.active, home, { sensitivities: [] })
                    .filter(({ level: how }) => how === "refuse")
                    .map(({ code }) => (
                      <p key={code} className="text-danger-emphasis fw-semibold mb-0">
                        Not suggested: {shortObjections[code]}.
                      </p>
                    ))}
                </Panel>
              </div>
            ))}
          </div>
          {empty.length > 0 && (
            <details className="mb-3">
              <summary>Finished bottles ({empty.length})</summary>
              <ul>
                {empty.map(({ bottle }) => (
                  <li key={bottle.id}>
                    <Link href={`/mixing/cupboard/${bottle.id}`}>{bottle.name}</Link>, empty on{" "}
                    {dayInWords(bottle.emptiedOn!)}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </div>
        <div className="col-lg-4">
          <Panel title="Is there enough?">
            {lasting.length === 0 && <p className="mb-0">No plan needs anything measured out.</p>}
            <ul className="mb-0 ps-3">
              {lasting.map((line) => (
                <li key={line.active} className={line.shortOn ? "fw-semibold" : undefined}>
                  {lastingSentence(line, collection.units)}
                </li>
              ))}
            </ul>
          </Panel>
          {(yearCost > 0 || caseCosts.length > 0) && (
            <Panel title="Cost">
              <p className="mb-2">{yearCost.toFixed(2)} within a year, from what was recorded.</p>
              <ul className="mb-0 ps-3">
                {caseCosts.map(({ caseId, plant, pest, cost }) => (
                  <li key={caseId}>
                    <Link href={`/cases/${caseId}`}>
                      {plant.code} {pestNames[pest].toLowerCase()}
                    </Link>
                    : {cost.toFixed(2)}
                  </li>
                ))}
              </ul>
            </Panel>
          )}
        </div>
      </div>
    </>
  );
}

function BottleLines({ level, today, units }: { level: Level; today: Day; units: Units }) {
  const { bottle, usedMl, leftMl } = level;
  const { active, percent, perLitre, unit, everyDays, mostTimes, allowed, openedOn, bestBefore } = bottle;
  const group = groupOf(active);
  const says = [
    perLitre !== null && (unit === "mL" ? rateIn(perLitre, units) : `${perLitre} ${unit} per litre`),
    everyDays !== null && `not again before ${dayCount(everyDays)}`,
    mostTimes !== null && `at most ${mostTimes} times a season`,
  ].filter(Boolean);
  const dates = datesOf(bottle, today);
  return (
    <>
      <p className="mb-1">
        {activeNames[active]}
        {percent !== null && ` ${percent} %`}
        {group && `, IRAC group ${group}`}.
      </p>
      <p className="mb-1">{says.length > 0 ? `Label: ${says.join(", ")}.` : "No label on record."}</p>
      <p className="mb-1">
        {allowed.length > 0
          ? `Allowed: ${allowed.map((one) => allowedNames[one].toLowerCase()).join(", ")}.`
          : "Not allowed anywhere."}
      </p>
      <p className="mb-1">
        {openedOn ? `Opened ${dayInWords(openedOn)}` : "Not opened"}
        {usedMl > 0 && `, ${volumeIn(usedMl, units)} used since`}
        {leftMl !== null && `, ${volumeIn(leftMl, units)} left`}.
      </p>
      {bestBefore && (
        <p className={dates ? "text-danger-emphasis fw-semibold mb-1" : "mb-1"}>
          {dates === "over"
            ? `Past its best-before date, ${dayAndYear(bestBefore)}: ${active === "neem" ? "old neem does little. " : ""}Use a fresh one.`
            : `Best before ${dayAndYear(bestBefore)}.`}
        </p>
      )}
    </>
  );
}
