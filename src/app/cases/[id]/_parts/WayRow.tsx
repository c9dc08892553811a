"use client";

import { ChevronDown, ChevronRight } from "lucide-react";
import type { ReactNode } from "react";
import type { WorkedOn } from "@/core/acts/works";
import { minutesOfDose } from "@/core/planning/doses";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { Rising } from "./Rising";
import type { Way } from "./ways";

interface Props {
  way: Way;
  on: WorkedOn;
  open: boolean;
  onPress: () => void;
  /** What stands in it once it is pressed. */
  children: ReactNode;
}

/** One way: what it comes to on one line, and everything else in the same place once it is pressed. */
export function WayRow({ way, on, open, onPress, children }: Props) {
  const { dates, doses, pOver, by, rising, reaches, badges, name } = way;
  const minutes = doses.reduce((sum, dose) => sum + minutesOfDose(dose, on), 0);
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <li className={`way ${open ? "open" : ""}`}>
      <button type="button" className="way-line" aria-expanded={open} onClick={onPress}>
        <Mark className="way-mark" size={18} aria-hidden />
        <span className="way-name">
          {name}
          {badges.map((badge) => (
            <span key={badge} className="badge text-bg-primary ms-2">
              {badge}
            </span>
          ))}
        </span>
        <span className="way-times">
          {dates.length === 1 ? "once" : `${dates.length} times`}, {dayInWords(dates[0]!)}
          {dates.length > 1 && ` to ${dayInWords(dates.at(-1)!)}`}
        </span>
        <span className="way-rising">
          <Rising chances={rising} />
        </span>
        <span className="way-chance">
          <span className={reaches ? "fw-semibold" : undefined}>{percent(pOver)}</span> by {dayInWords(by)}
        </span>
        <span className="way-cost">{minutes} min</span>
      </button>
      {open && <div className="way-more">{children}</div>}
    </li>
  );
}
