"use client";

// Pictures are served from this machine, scaled down: nothing is left to optimise.
/* eslint-disable @next/next/no-img-element */

import { useState, type CSSProperties } from "react";
import Form from "react-bootstrap/Form";
import { daysBetween, type Day } from "@/core/shared/days";
import { dayCount, dayInWords } from "@/wording/dates";
import { SelectBox } from "@/ui/fields/SelectBox";

/** A photo as it is shown. */
export interface Shown {
  readonly id: string;
  readonly day: Day;
  readonly width: number;
  readonly height: number;
}

/** Two photos on top of each other, with a line between them that is drawn over the picture. */
export function ThenAndNow({ photos }: { photos: readonly Shown[] }) {
  const [thenId, setThen] = useState<string | null>(null);
  const [nowId, setNow] = useState<string | null>(null);
  const [at, setAt] = useState(50);
  // One that has been struck out meanwhile is no longer among them.
  const then = photos.find(({ id }) => id === thenId) ?? photos.at(-2)!;
  const now = photos.find(({ id }) => id === nowId) ?? photos.at(-1)!;
  const dated = photos.map(({ id, day }, i) => {
    const several = photos.filter((one) => one.day === day).length > 1;
    return [id, several ? `${dayInWords(day)}, number ${i + 1}` : dayInWords(day)] as const;
  });
  const apart = daysBetween(then.day, now.day);
  return (
    <>
      <div className="d-flex gap-2 mb-2">
        <SelectBox className="flex-fill" label="Then" value={then.id} options={dated} onPick={setThen} />
        <SelectBox className="flex-fill" label="Now" value={now.id} options={dated} onPick={setNow} />
      </div>
      <div
        className="pair-stage"
        style={{ "--at": `${at}%`, aspectRatio: `${then.width} / ${then.height}` } as CSSProperties}
      >
        <img src={`/photos/${then.id}`} alt={`The leaf on ${dayInWords(then.day)}`} />
        <img src={`/photos/${now.id}`} alt={`The leaf on ${dayInWords(now.day)}`} className="pair-now" />
        <i aria-hidden="true" />
      </div>
      <Form.Range
        aria-label="How much of the new photo is shown"
        aria-valuetext={`${at} % then, ${100 - at} % now`}
        value={at}
        onChange={(event) => setAt(Number(event.target.value))}
      />
      <p className="small mb-0">
        Left then, right now{apart > 0 && `, ${dayCount(apart)} apart`}. Scars remain; judge by what has opened since.
      </p>
    </>
  );
}
