"use client";

import { Children, useState, type ReactNode } from "react";
import { usePhone } from "./shell/usePhone";

interface Props {
  /** So many lines a phone shows; one more is shown rather than folded. */
  readonly first: number;
  /** What is pressed for the rest. @example "12 more looks" */
  readonly more: string;
  readonly children: ReactNode;
}

/** The lines of a list of which a phone shows the first until the rest is asked for; a wider screen shows all. */
export function PhoneMore({ first, more, children }: Props) {
  const phone = usePhone();
  const [all, setAll] = useState(false);
  const lines = Children.toArray(children);
  const folded = phone && !all && lines.length > first + 1;
  return (
    <>
      {folded ? lines.slice(0, first) : lines}
      {folded && (
        <li className="phone-more">
          <button type="button" className="btn btn-link px-0" onClick={() => setAll(true)}>
            {more}
          </button>
        </li>
      )}
    </>
  );
}
