import { format } from "date-fns";
import type { Day } from "@/core/shared/days";
import { daysBetween } from "@/core/shared/days";

/** A day as the application writes it: "Sat 12 Dec". */
export function dayInWords(day: Day): string {
  return format(new Date(`${day}T12:00:00`), "EEE d MMM");
}

/** A day where there is little room: "12 Dec". */
export function shortDay(day: Day): string {
  return format(new Date(`${day}T12:00:00`), "d MMM");
}

/** A day with its year, for records that go back: "Sat 12 Dec 2026". */
export function dayAndYear(day: Day): string {
  return format(new Date(`${day}T12:00:00`), "EEE d MMM yyyy");
}

/** How far a day is from today: "today", "tomorrow", "2 days ago", "in 5 days". */
export function fromToday(day: Day, today: Day): string {
  const days = daysBetween(today, day);
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days === -1) return "yesterday";
  return days > 0 ? `in ${days} days` : `${-days} days ago`;
}

/** "1 day", "7 days"; fractions to one digit. */
export function dayCount(days: number): string {
  const rounded = Math.round(days * 10) / 10;
  return rounded === 1 ? "1 day" : `${rounded} days`;
}

/** A wall time as a moment in words: "Sat 12 Dec, 19:05". @example momentInWords("2026-12-12T19:05") */
export function momentInWords(wallTime: string): string {
  return `${dayInWords(wallTime.slice(0, 10) as Day)}, ${wallTime.slice(11, 16)}`;
}

/** A length of time as a keeper says it. @example hoursInWords(95) // "1 h 35 min" */
export function hoursInWords(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  return [...(hours > 0 ? [`${hours} h`] : []), ...(rest > 0 || hours === 0 ? [`${rest} min`] : [])].join(" ");
}
