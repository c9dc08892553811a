import "server-only";
import { ICalAlarmType, ICalCalendar, ICalCalendarMethod } from "ical-generator";
import { addDays } from "@/core/shared/days";
import type { CalendarEntry } from "@/core/schedule/calendar/entries";
import { entryInWords } from "@/wording/record/calendar";

/** A calendar is asked for anew so often, seconds. */
const REFRESH_SECONDS = 3600;
const MINUTE_MS = 60_000;

/**
 * What is due as an iCalendar file (RFC 5545). What is due on a day lasts that day, in whatever zone it is read; a timer is an instant, in UTC,
 * and rings. The same thing keeps its UID when its day moves.
 */
export function icsOf(
  entries: readonly CalendarEntry[],
  { name, collectionId, now, link }: { name: string; collectionId: string; now: Date; link: (path: string) => string },
): string {
  const calendar = new ICalCalendar({
    name: `${name}: what is due`,
    prodId: { company: "Wary Petal", product: "what is due", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
    ttl: REFRESH_SECONDS,
  });
  for (const entry of entries) {
    const { summary, description, path } = entryInWords(entry);
    const own = { id: `${entry.uid}@${collectionId}.wary-petal`, stamp: now, summary, description, url: link(path) };
    if (entry.kind === "timer") {
      const event = calendar.createEvent({
        ...own,
        start: entry.endsAt,
        end: new Date(entry.endsAt.getTime() + 5 * MINUTE_MS),
      });
      event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: summary });
    } else {
      // A day is a date without a clock: read as UTC it is the same everywhere.
      const start = new Date(`${entry.day}T00:00:00Z`);
      const end = new Date(`${addDays(entry.day, 1)}T00:00:00Z`);
      calendar.createEvent({ ...own, start, end, allDay: true, timezone: "UTC" });
    }
  }
  return calendar.toString();
}
