import { may, type Right, type RoleId } from "@/core/access/roles";
import {
  BookOpen,
  CalendarCheck2,
  FlaskConical,
  Footprints,
  LayoutPanelTop,
  NotebookPen,
  Settings,
  Sprout,
} from "lucide-react";

/** The rooms in the order of the work; `key` goes there after `g`, `right` is what one must be allowed to find anything there. */
export const rooms = [
  { href: "/today", name: "Today", key: "t", Icon: CalendarCheck2, right: "see" },
  { href: "/walk", name: "Walk", key: "w", Icon: Footprints, right: "see" },
  { href: "/benches", name: "Benches", key: "b", Icon: LayoutPanelTop, right: "read" },
  { href: "/cases", name: "Cases", key: "c", Icon: Sprout, right: "read" },
  { href: "/mixing", name: "Mixing", key: "m", Icon: FlaskConical, right: "read" },
  { href: "/almanac", name: "Almanac", key: "a", Icon: BookOpen, right: "see" },
  { href: "/ledger", name: "Ledger", key: "l", Icon: NotebookPen, right: "read" },
  { href: "/settings", name: "Settings", key: "s", Icon: Settings, right: "see" },
] as const satisfies readonly { readonly right: Right; readonly [more: string]: unknown }[];

/** The rooms that are open to a role. */
export function roomsFor(role: RoleId) {
  return rooms.filter(({ right }) => may(role, right));
}
