import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import { addDays, isDay, weekdayOf, type Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import { today } from "@/operations/shared/context";
import { readFeeds } from "@/operations/access/calendarFeeds";
import { readCalendar } from "@/operations/seasons/queries/readCalendar";
import { readDone } from "@/operations/record/queries/readDone";
import { Panel } from "@/ui/Panel";
import { LinkIfOpen } from "@/ui/shell/Only";
import { doneInWords, entryInWords } from "@/wording/record/calendar";
import { dayInWords } from "@/wording/dates";
import { monthNames } from "@/wording/advice/seasons/seasons";
import { wallTimeIn } from "@/zones";
import { CalendarFeeds } from "./_parts/CalendarFeeds";
import { PrintPress } from "@/ui/PrintPress";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Calendar" };

const weekdays = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
const MONTHS = 12;
const WEEKS = 5;

/** A month of all that is due, on the screen and on paper; and the private addresses other calendars read it from. */
export default async function CalendarPage({ searchParams }: { searchParams: Promise<{ month?: string }> }) {
  const context = await currentContext();
  const mark = await markNow(context);
  const now = today(context);
  const asked = (await searchParams).month;
  // From this week on, unless a month is asked for: on its last days a month shows what is over.
  const ofMonth = asked !== undefined && isDay(`${asked}-01`);
  const monday = addDays(now, 1 - weekdayOf(now));
  const first = ofMonth ? (`${asked}-01` as Day) : monday;
  const [year, month] = [Number((ofMonth ? first : now).slice(0, 4)), Number((ofMonth ? first : now).slice(5, 7))];
  const last = ofMonth ? addDays(monthAt(year, month + 1), -1) : addDays(monday, 7 * WEEKS - 1);
  const [entries, done, feeds] = await Promise.all([
    cachedView(context, `calendar ${first} ${last}`, () => readCalendar(context, first, last)),
    cachedView(context, `done ${first} ${last}`, () => readDone(context, first, last)),
    may(context.role, "own") ? cachedView(context, "feeds", () => readFeeds(context)) : [],
  ]);
  const byDay = groupBy(entries, ({ day }) => day);
  const begin = addDays(first, 1 - weekdayOf(first));
  const weeks = Array.from({ length: 6 }, (_, w) =>
    Array.from({ length: 7 }, (_, d) => addDays(begin, 7 * w + d)),
  ).filter((week) => week[0]! <= last);
  const { timeZone, name } = context.collection;
  return (
    <>
      <Live mark={mark} />
      <style>{"@page { size: A4 landscape; margin: 10mm; }"}</style>
      <div className="d-flex flex-wrap gap-2 align-items-center mb-2">
        <h1 className="me-auto mb-0">
          {ofMonth ? `${monthNames[month - 1]} ${year}` : "Five weeks"}
          <span className="only-print">, {name}</span>
        </h1>
        {ofMonth ? (
          <>
            <Link className="btn btn-outline-primary no-print" href={addressOf(year, month - 1)}>
              Before
            </Link>
            <Link className="btn btn-outline-primary no-print" href={addressOf(year, month + 1)}>
              After
            </Link>
            <Link className="btn btn-outline-primary no-print" href="/calendar">
              This week
            </Link>
          </>
        ) : (
          <Link className="btn btn-outline-primary no-print" href={addressOf(year, month)}>
            Month view
          </Link>
        )}
        <PrintPress />
      </div>
      <AsOf />
      {entries.length === 0 && <p>Nothing is due in this period.</p>}
      <table className="month">
        <thead>
          <tr>
            {weekdays.map((one) => (
              <th key={one} scope="col">
                {one}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week[0]}>
              {week.map((day) => {
                const there = byDay.get(day) ?? [];
                const outside = day < first || day > last;
                return (
                  <td
                    key={day}
                    className={
                      outside
                        ? "outside"
                        : day === now
                          ? "now"
                          : there.length === 0 && !done.has(day)
                            ? "empty"
                            : undefined
                    }
                  >
                    {!outside && (
                      <>
                        <span className="month-day">
                          <span className="month-number">
                            {Number(day.slice(8))}
                            {!ofMonth && (day === first || day.endsWith("-01")) && ` ${monthOf(day)}`}
                          </span>
                          <span className="month-name">{dayInWords(day)}</span>
                        </span>
                        {done.has(day) && <span className="month-done">{doneInWords(done.get(day)!)}</span>}
                        <ul>
                          {there.map((entry) => {
                            const { summary, path } = entryInWords(entry);
                            return (
                              <li key={entry.uid}>
                                <span className="box only-print" aria-hidden />
                                <LinkIfOpen href={path}>
                                  {entry.kind === "timer" && `${wallTimeIn(entry.endsAt, timeZone).slice(11, 16)} `}
                                  {summary}
                                </LinkIfOpen>
                              </li>
                            );
                          })}
                        </ul>
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {may(context.role, "own") && (
        <div className="no-print mt-3">
          <Panel title="Add to another calendar">
            <CalendarFeeds
              feeds={feeds.map(({ id, name: own, fetchedAt }) => ({
                id,
                name: own,
                fetched: fetchedAt && wallTimeIn(fetchedAt, timeZone),
              }))}
            />
          </Panel>
        </div>
      )}
    </>
  );
}

const monthOf = (day: Day) => monthNames[Number(day.slice(5, 7)) - 1]!;

const addressOf = (year: number, month: number) => `/calendar?month=${monthAt(year, month).slice(0, 7)}`;

function monthAt(year: number, month: number): Day {
  const index = year * MONTHS + month - 1;
  return `${Math.floor(index / MONTHS)}-${String((index % MONTHS) + 1).padStart(2, "0")}-01` as Day;
}
