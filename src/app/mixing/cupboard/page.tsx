import type { Metadata } from "next";
import Link from "next/link";
import { currentContext } from "@/app/_parts/context";
import type { Day } from "@/core/climate/days";
import { inUse } from "@/core/household/bottles";
import { datesOf, type Lasting, type Level } from "@/core/household/cupboard";
import { homeObjections } from "@/core/household/household";
import { groupOf } from "@/core/household/products";
import { readCupboard } from "@/operations/readCupboard";
import { Panel } from "@/ui/Panel";
import { millilitres } from "@/wording/amounts";
import { shortObjections } from "@/wording/cautions";
import { dayAndYear, dayCount, dayInWords } from "@/wording/dates";
import { activeNames, allowedNames } from "@/wording/household";
import { pestNames } from "@/wording/names";

export const metadata: Metadata = { title: "Cupboard" };

/** The bottles there are, what their labels say, what is left in them, and whether that will do. */
export default async function CupboardPage() {
  const context = await currentContext();
  const { collection } = context;
  const { day, levels, lasting, yearCost, caseCosts } = await readCupboard(context);
  const there = levels.filter(({ bottle }) => bottle.emptiedOn === null);
  const empty = levels.filter(({ bottle }) => bottle.emptiedOn !== null);
  const home = { ...collection, bottles: inUse(collection.bottles) };
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
      <div className="row gx-3">
        <div className="col-lg-8">
          {there.length === 0 && <p>Nothing is written down yet.</p>}
          <div className="row gx-3">
            {there.map((level) => (
              <div className="col-md-6" key={level.bottle.id}>
                <Panel title={<Link href={`/mixing/cupboard/${level.bottle.id}`}>{level.bottle.name}</Link>}>
                  <BottleLines level={level} today={day} />
                  {homeObjections(level.bottle.active, home, { sensitivities: [] })
                    .filter(({ level: how }) => how === "refuse")
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
            <details className="mb-3">
              <summary>Empty ones ({empty.length})</summary>
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
          <Panel title="Will it do?">
            {lasting.length === 0 && <p className="mb-0">No plan asks for anything that is measured out.</p>}
            <ul className="mb-0 ps-3">
              {lasting.map((line) => (
                <li key={line.active} className={line.shortOn ? "fw-semibold" : undefined}>
                  {lastingSentence(line)}
                </li>
              ))}
            </ul>
          </Panel>
          {(yearCost > 0 || caseCosts.length > 0) && (
            <Panel title="What it cost, in your money">
              <p className="mb-2">{yearCost.toFixed(2)} within a year, of what was written down.</p>
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

/** What is to be bought, and by when. */
function lastingSentence({ active, neededMl, leftMl, shortOn, missingMl }: Lasting): string {
  const name = activeNames[active];
  if (leftMl === null) return `${name}: ${millilitres(neededMl)} planned; how much is left is not known.`;
  if (!shortOn) return `${name}: ${millilitres(neededMl)} planned, ${millilitres(leftMl)} left: it will do.`;
  return `${name}: buy ${millilitres(missingMl)} by ${dayInWords(shortOn)} (${millilitres(neededMl)} planned, ${millilitres(leftMl)} left).`;
}

function BottleLines({ level, today }: { level: Level; today: Day }) {
  const { bottle, usedMl, leftMl } = level;
  const { active, percent, perLitre, unit, everyDays, mostTimes, allowed, openedOn, bestBefore } = bottle;
  const group = groupOf(active);
  const says = [
    perLitre !== null && `${perLitre} ${unit} in a litre`,
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
      <p className="mb-1">{says.length > 0 ? `Label: ${says.join(", ")}.` : "Of the label nothing is written down."}</p>
      <p className="mb-1">
        {allowed.length > 0
          ? `Allowed: ${allowed.map((one) => allowedNames[one].toLowerCase()).join(", ")}.`
          : "Allowed nowhere."}
      </p>
      <p className="mb-1">
        {openedOn ? `Opened ${dayInWords(openedOn)}` : "Not opened"}
        {usedMl > 0 && `, ${millilitres(usedMl)} used since`}
        {leftMl !== null && `, ${millilitres(leftMl)} left`}.
      </p>
      {bestBefore && (
        <p className={dates ? "text-danger-emphasis fw-semibold mb-1" : "mb-1"}>
          {dates === "over"
            ? `Past its day, ${dayAndYear(bestBefore)}: ${active === "neem" ? "old neem does little. " : ""}Use a fresh one.`
            : `Best before ${dayAndYear(bestBefore)}.`}
        </p>
      )}
    </>
  );
}
