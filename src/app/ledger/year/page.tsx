import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { PrintPress } from "@/ui/PrintPress";
import type { TallyLine } from "@/core/advice/ledger/tally";
import type { PestOfYear } from "@/core/advice/ledger/year";
import { readYear } from "@/operations/record/queries/readYear";
import { Panel } from "@/ui/Panel";
import { monthNames } from "@/wording/advice/seasons/seasons";
import { dayAndYear } from "@/wording/dates";
import { activeNames } from "@/wording/names/household";
import { pestNames } from "@/wording/names/names";
import { volumeIn } from "@/wording/units";
import { earlierSentence, tallyName, yearSentence } from "@/wording/record/ledger";
import { yearAsked } from "./_parts/yearAsked";

export const metadata: Metadata = { title: "The year" };

const SOURCES = 5;

/** What a year has brought, on screen and on one printed page: what was found when, where it came from, what came of it, and what to do earlier. */
export default async function YearInReviewPage({
  searchParams,
}: {
  searchParams: Promise<{ year?: string | string[] }>;
}) {
  const context = await currentContext();
  const asked = yearAsked((await searchParams).year);
  const view = await cachedView(context, `year review ${asked}`, () => readYear(context, asked));
  const { review, years, places, plants, used, cost, pairs } = view;
  const { year, pests, finds, relapses, from, earlier } = review;
  return (
    <>
      <style>{"@media print { @page { size: A4 portrait; margin: 12mm; } }"}</style>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <h1 className="me-auto">
          {context.collection.name}, {year}
        </h1>
        <a className="btn btn-outline-primary mb-2 no-print" href={`/ledger/year/table?year=${year}`}>
          As a table (CSV)
        </a>
        <PrintPress />
      </div>
      <AsOf />
      {years.length > 1 && (
        <nav className="d-flex flex-wrap gap-2 mb-2 no-print" aria-label="Which year">
          {years.map((one) => (
            <Link
              key={one}
              className={`btn btn-sm ${one === year ? "btn-primary" : "btn-outline-primary"}`}
              aria-current={one === year ? "page" : undefined}
              href={`/ledger/year?year=${one}`}
            >
              {one}
            </Link>
          ))}
        </nav>
      )}
      <p className="lead">{yearSentence(review)}</p>
      {earlier.length > 0 && (
        <Panel title="Next year, earlier">
          <ul className="mb-0">
            {earlier.map((one) => (
              <li key={one.pest}>{earlierSentence(one)}</li>
            ))}
          </ul>
        </Panel>
      )}
      {pests.length > 0 && (
        <Panel title="What was found when">
          <YearChart pests={pests} />
        </Panel>
      )}
      {finds > 0 && (
        <Panel title="Where it came from">
          <div className="year-sources">
            <Sources title="How it came in" lines={from.way} name={(key) => tallyName("way", key, key)} of={finds} />
            <Sources
              title="Where it was found"
              lines={from.place}
              name={(key) => tallyName("place", key, places[key] ?? "")}
              of={finds}
            />
            <Sources title="Seller" lines={from.seller} name={(key) => tallyName("seller", key, key)} of={finds} />
          </div>
        </Panel>
      )}
      {used.length > 0 && (
        <Panel title="What was used">
          <p className="mb-0">
            {used
              .map(({ active, ml }) => `${activeNames[active]} ${volumeIn(ml, context.collection.units)}`)
              .join(", ")}
            {cost > 0 && `; ${cost.toFixed(2)} of the bottles whose price is on record`}.
          </p>
        </Panel>
      )}
      {pairs.length > 0 && (
        <Panel title="Then and now">
          <div className="year-pairs">
            {pairs.map(({ plantId, then, now }) => (
              <figure key={plantId} className="mb-0">
                <Link href={`/plants/${plantId}/photos`} className="year-pair">
                  {[then, now].map(({ id, day }) => (
                    // eslint-disable-next-line @next/next/no-img-element -- kept pictures are small already
                    <img key={id} src={`/photos/${id}`} alt={`${plants[plantId] ?? "A plant"} on ${dayAndYear(day)}`} />
                  ))}
                </Link>
                <figcaption className="small">
                  {plants[plantId] ?? "A plant"}: {dayAndYear(then.day)} and {dayAndYear(now.day)}
                </figcaption>
              </figure>
            ))}
          </div>
        </Panel>
      )}
      {relapses.length > 0 && (
        <Panel title="Came back after it was called clear">
          <ul className="mb-0">
            {relapses.map(({ caseId, plantId, pest, foundOn }) => (
              <li key={caseId}>
                <Link href={`/cases/${caseId}`}>{plants[plantId] ?? "A plant"}</Link>: {pestNames[pest].toLowerCase()}{" "}
                on {dayAndYear(foundOn)}
              </li>
            ))}
          </ul>
        </Panel>
      )}
      <p className="no-print">
        <Link href="/ledger/taught">What your record has taught</Link> · <Link href="/ledger">Back to the ledger</Link>
      </p>
    </>
  );
}

/** So many finds are drawn as a dot each; more are a number. */
const DOTS = 9;

/** A row for each pest, a column for each month, a dot for each find. */
function YearChart({ pests }: { pests: readonly PestOfYear[] }) {
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label="Finds by pest and month">
      <table className="year-chart">
        <thead>
          <tr>
            <td />
            {monthNames.map((name) => (
              <th key={name} scope="col">
                <abbr title={name}>{name.slice(0, 3)}</abbr>
              </th>
            ))}
            <th scope="col">All</th>
          </tr>
        </thead>
        <tbody>
          {pests.map(({ pest, byMonth, finds }) => (
            <tr key={pest}>
              <th scope="row">{pestNames[pest]}</th>
              {byMonth.map((n, month) => (
                <td key={month} className={n > 0 ? "some" : undefined}>
                  <span className="visually-hidden">{n}</span>
                  <span aria-hidden className="dots">
                    {n > DOTS ? n : Array.from({ length: n }, (_, i) => <i key={i} />)}
                  </span>
                </td>
              ))}
              <td>{finds}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The likeliest sources, each as long as its share. */
function Sources({
  title,
  lines,
  name,
  of,
}: {
  title: string;
  lines: readonly TallyLine[];
  name: (key: string) => string;
  of: number;
}) {
  return (
    <section>
      <h3 className="h6">{title}</h3>
      <ul className="list-unstyled mb-0">
        {lines.slice(0, SOURCES).map(({ key, finds }) => (
          <li key={key} className="source">
            <span>
              {name(key)}: {finds.length}
            </span>
            <i aria-hidden style={{ width: `${(100 * finds.length) / of}%` }} />
          </li>
        ))}
      </ul>
    </section>
  );
}
