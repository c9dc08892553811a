import { may, type Right, type RoleId } from "@/core/access/roles";
import {
  BookOpen,
  CalendarCheck2,
  CalendarRange,
  FlaskConical,
  Footprints,
  LayoutPanelTop,
  NotebookPen,
  Settings,
  Sprout,
} from "lucide-react";

/**
 * The rooms in the order of the work; `key` goes there after `g`, `right` is what one must be allowed to find anything there. A phone's bar
 * has those with `bar`, and the others behind it.
 */
export const rooms = [
  { href: "/today", name: "Today", key: "t", Icon: CalendarCheck2, right: "see", bar: true },
  { href: "/walk", name: "Walk", key: "w", Icon: Footprints, right: "see", bar: true },
  { href: "/benches", name: "Benches", key: "b", Icon: LayoutPanelTop, right: "read", bar: true },
  { href: "/cases", name: "Cases", key: "c", Icon: Sprout, right: "read", bar: true },
  { href: "/year", name: "Year", key: "y", Icon: CalendarRange, right: "read", bar: false },
  { href: "/mixing", name: "Mixing", key: "m", Icon: FlaskConical, right: "read", bar: false },
  { href: "/almanac", name: "Almanac", key: "a", Icon: BookOpen, right: "see", bar: false },
  { href: "/ledger", name: "Ledger", key: "l", Icon: NotebookPen, right: "read", bar: false },
  { href: "/settings", name: "Settings", key: "s", Icon: Settings, right: "see", bar: false },
] as const satisfies readonly { readonly right: Right; readonly bar: boolean; readonly [more: string]: unknown }[];

/** Pages of the year, which stand under addresses of their own. */
const ofTheYear = ["/calendar", "/evening", "/wintering", "/prevention", "/arrivals"];

/** The rooms that are open to a role. */
export function roomsFor(role: RoleId) {
  return rooms.filter(({ right }) => may(role, right));
}

/** Whether a page stands in a room. @example isIn("/year", "/wintering") // true */
export function isIn(room: string, path: string): boolean {
  return path.startsWith(room) || (room === "/year" && ofTheYear.some((one) => path.startsWith(one)));
}
