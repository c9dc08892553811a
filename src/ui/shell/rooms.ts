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

/** The rooms in the order of the work; `key` goes there after `g`. A room that has nothing yet is not listed. */
export const rooms = [
  { href: "/today", name: "Today", key: "t", Icon: CalendarCheck2 },
  { href: "/walk", name: "Walk", key: "w", Icon: Footprints },
  { href: "/benches", name: "Benches", key: "b", Icon: LayoutPanelTop },
  { href: "/cases", name: "Cases", key: "c", Icon: Sprout },
  { href: "/mixing", name: "Mixing", key: "m", Icon: FlaskConical },
  { href: "/almanac", name: "Almanac", key: "a", Icon: BookOpen },
  { href: "/ledger", name: "Ledger", key: "l", Icon: NotebookPen },
  { href: "/settings", name: "Settings", key: "s", Icon: Settings },
] as const;
