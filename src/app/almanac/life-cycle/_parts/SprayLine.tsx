"use client";

import { Range, Root, Thumb, Track } from "@radix-ui/react-slider";

interface Props {
  /** Days of the treatments, ascending. */
  days: readonly number[];
  lastDay: number;
  onDays: (days: number[]) => void;
}

/** The treatments on a time line, each to be dragged, or moved a day with the arrow keys. */
export function SprayLine({ days, lastDay, onDays }: Props) {
  return (
    <div className="spray-line">
      <Root
        className="spray-root"
        min={0}
        max={lastDay}
        step={1}
        minStepsBetweenThumbs={1}
        value={[...days]}
        onValueChange={onDays}
      >
        <Track className="spray-track">
          <Range />
        </Track>
        {days.map((day, i) => (
          <Thumb key={i} className="spray-thumb" aria-label={`Treatment ${i + 1}`} aria-valuetext={`day ${day}`}>
            <span aria-hidden>▼</span>
            <span aria-hidden className="spray-day">
              {day}
            </span>
          </Thumb>
        ))}
      </Root>
    </div>
  );
}
