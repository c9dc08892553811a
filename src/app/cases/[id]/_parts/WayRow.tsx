"use client";

import { ChevronDown, ChevronRight } from "lucide-react";
import type { ReactNode } from "react";
import type { Day } from "@/core/shared/days";
import { inTen, percent } from "@/wording/advice/chances";
import { dayInWords, hoursInWords, shortDay } from "@/wording/dates";
import { rhythmInWords } from "@/wording/advice/planning/planning";
import { CourseLine } from "./CourseLine";
import type { Way } from "./ways";

interface Props {
  way: Way;
  /** What the line in time spans. */
  from: Day;
  until: Day;
  open: boolean;
  onPress: () => void;
  /** What stands in it once it is pressed. */
  children: ReactNode;
}

/** One way: what it comes to on one line, and everything else in the same place once it is pressed. */
export function WayRow({ way, from, until, open, onPress, children }: Props) {
  const { schedule, minutes, badges, name, basis } = way;
  const { pClean, sure, reaches, looks } = schedule;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <li className={`way ${open ? "open" : ""}`}>
      <button type="button" className="way-line" aria-expanded={open} onClick={onPress}>
        <Mark className="way-mark" size={18} aria-hidden />
        <span>
          <span className="way-name">{name}</span>
          {badges.map((badge) => (
            <span key={badge} className="badge text-bg-primary ms-2">
              {badge}
            </span>
          ))}
          <span className="way-times">
            {basis === "reckoned" ? rhythmInWords(schedule) : `until ${dayInWords(schedule.dates.at(-1)!)}`}
          </span>
        </span>
        <CourseLine schedule={schedule} from={from} until={until} />
        <span className="way-chance">
          <span className={reaches ? "fw-semibold" : undefined}>{inTen(pClean)}</span> clean by{" "}
          {shortDay(looks.at(-1)!)}, then {percent(sure)} sure
        </span>
        <span className="way-cost">{hoursInWords(Math.round(minutes))}</span>
      </button>
      {open && <div className="way-more">{children}</div>}
    </li>
  );
}
