"use client";

import { BellRing, Hourglass } from "lucide-react";
import { usePathname } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import Button from "react-bootstrap/Button";
import { groupBy } from "@/core/shared/groupBy";
import type { ShownTimer } from "@/operations/acts/queries/readTimers";
import { useCollection } from "@/ui/shell/Collection";
import { ringsInWords, runsInWords } from "@/wording/record/timers";
import { wallTimeIn } from "@/zones";
import { ring } from "./ring";
import { useTimerCommands, useTimers } from "./useTimers";

/** On every page but a walk, which covers the page and shows them itself. */
export function TimersHere({ known }: { known: readonly ShownTimer[] }) {
  return /^\/walk\/[0-9a-f-]{36}$/.test(usePathname()) ? null : <Timers known={known} />;
}

/** What is waited for, and what has rung. It is told by a sound, and by the system where that is allowed. */
export function Timers({ known }: { known: readonly ShownTimer[] }) {
  const { timeZone } = useCollection();
  const { timers, now } = useTimers(known);
  const { end } = useTimerCommands();
  const [open, setOpen] = useState(false);
  const rung = timers.filter(({ endsAt }) => endsAt <= now);
  const running = timers.filter(({ endsAt }) => endsAt > now);
  useRing(rung);
  if (timers.length === 0) return null;
  const next = running[0];
  const at = (instant: Date) => wallTimeIn(instant, timeZone);
  return (
    <section className="timers no-print" aria-label="Timers">
      {[...groupBy(rung, ({ what }) => what)].map(([what, group]) => (
        <div key={what} className="timers-rung" role="alert">
          <BellRing size={20} aria-hidden />
          <span>
            {ringsInWords(
              what,
              group.map(({ code }) => code),
            )}
          </span>
          <Button size="sm" onClick={() => group.forEach(({ id }) => end(id))}>
            Done
          </Button>
        </div>
      ))}
      {next && (
        <details className="timers-running" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
          <summary>
            <Hourglass size={18} aria-hidden /> {runsInWords(next.what, next.code, at(next.endsAt), at(now))}
            {running.length > 1 && ` and ${running.length - 1} more`}
          </summary>
          <ul className="list-unstyled mb-0">
            {running.map(({ id, what, code, endsAt }) => (
              <li key={id} className="d-flex flex-wrap gap-2 align-items-center py-1">
                <span className="flex-grow-1">{runsInWords(what, code, at(endsAt), at(now))}</span>
                <Button size="sm" variant="outline-primary" onClick={() => end(id)}>
                  Stop
                </Button>
              </li>
            ))}
          </ul>
          <AskForNotices />
        </details>
      )}
    </section>
  );
}

/** Rings once for each timer that runs out while a page is open; those that had rung before are only shown. */
function useRing(rung: readonly ShownTimer[]): void {
  const heard = useRef<Set<string> | null>(null);
  useEffect(() => {
    const ids = rung.map(({ id }) => id);
    const fresh = heard.current === null ? [] : rung.filter(({ id }) => !heard.current!.has(id));
    heard.current = new Set([...(heard.current ?? []), ...ids]);
    if (fresh.length > 0) ring(fresh.map(({ what, code }) => ringsInWords(what, [code])).join(" "));
  }, [rung]);
}

/** The system tells a timer only where it was asked, and only where the connection is secure. */
function AskForNotices() {
  const [state, setState] = useState<NotificationPermission | "none" | null>(null);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what the browser allows is not known when the page is made
    setState(globalThis.isSecureContext && "Notification" in globalThis ? Notification.permission : "none");
  }, []);
  if (state === "none")
    return <p className="small mb-0">They ring while a page is open. Notifications need a secure connection.</p>;
  if (state !== "default") return null;
  return (
    <Button
      size="sm"
      variant="outline-primary"
      className="mt-1"
      onClick={() => void Notification.requestPermission().then(setState)}
    >
      Send me a notification too
    </Button>
  );
}
