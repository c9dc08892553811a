"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { closeFeedAction, openFeedAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { openFeed } from "@/core/access/calendarFeeds";
import { SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { momentInWords } from "@/wording/dates";

/** Private addresses from which other calendars read what is due: made, told once, ended. */
export function CalendarFeeds({
  feeds,
}: {
  feeds: readonly { readonly id: string; readonly name: string; readonly fetched: string | null }[];
}) {
  const router = useRouter();
  const [address, setAddress] = useState("");
  const { form, submit, trouble } = useCommand({
    schema: openFeed,
    action: openFeedAction,
    defaults: () => ({ id: uuidv7(), name: "" }),
    done: ({ token }) => {
      setAddress(`${location.origin}/calendar/feed/${String(token)}.ics`);
      form.reset({ id: uuidv7(), name: "" });
      router.refresh();
    },
  });
  const { press, trouble: notEnded, going } = usePress(closeFeedAction);
  return (
    <>
      <p>
        Anyone with such a link can read what is due, and nothing else; no passphrase is asked for. Another device can
        use it only where it can reach this application. Cautions are shown here, not in the calendar.
      </p>
      {address && (
        <Alert variant="success" role="status">
          Shown only once, so copy it now: <code className="text-break">{address}</code>
        </Alert>
      )}
      {feeds.length > 0 && (
        <ul className="list-unstyled">
          {feeds.map(({ id, name, fetched }) => (
            <li key={id} className="evening-line">
              <span className="flex-grow-1">
                {name}: {fetched ? `last read ${momentInWords(fetched)}` : "not read yet"}
              </span>
              <Button
                size="sm"
                variant="outline-primary"
                disabled={going}
                aria-label={`Revoke ${name}`}
                onClick={() => void press({ id })}
              >
                Revoke
              </Button>
            </li>
          ))}
        </ul>
      )}
      {notEnded && (
        <p className="text-danger-emphasis fw-semibold" role="alert">
          {notEnded}
        </p>
      )}
      <form onSubmit={submit} noValidate>
        <TextField form={form} name="name" label="For which calendar" hint="A name for it, such as kitchen." />
        <SubmitRow form={form} trouble={trouble} label="Create a link" variant="outline-primary" />
      </form>
    </>
  );
}
