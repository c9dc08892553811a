import { BookOpen, CalendarCheck2, FlaskConical, LayoutPanelTop, Settings, Sprout } from "lucide-react";

/** The rooms in the order of the work; `key` goes there after `g`. A room that has nothing yet is not listed. */
export const rooms = [
  { href: "/today", name: "Today", key: "t", Icon: CalendarCheck2 },
  { href: "/benches", name: "Benches", key: "b", Icon: LayoutPanelTop },
  { href: "/cases", name: "Cases", key: "c", Icon: Sprout },
  { href: "/mixing", name: "Mixing", key: "m", Icon: FlaskConical },
  { href: "/almanac", name: "Almanac", key: "a", Icon: BookOpen },
  { href: "/settings", name: "Settings", key: "s", Icon: Settings },
] as const;
