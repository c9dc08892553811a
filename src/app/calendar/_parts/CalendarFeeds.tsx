"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { closeFeedAction, openFeedAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { openFeed } from "@/core/access/feeds";
import { SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { momentInWords } from "@/wording/dates";

/** Private addresses from which other calendars read what is due: made, told once, ended. */
export function CalendarFeeds({
  feeds,
}: {
  feeds: readonly { readonly id: string; readonly name: string; readonly fetched: string | null }[];
}) {
  const router = useRouter();
  const [address, setAddress] = useState("");
  const { form, submit, trouble } = useDeed({
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
        Whoever has such an address reads what is due, and nothing else; nobody is asked for a passphrase there. A
        calendar on another device reaches it only where the application does. Cautions stay here: a calendar has no
        room for them.
      </p>
      {address && (
        <Alert variant="success" role="status">
          Told once, so copy it now: <code className="text-break">{address}</code>
        </Alert>
      )}
      {feeds.length > 0 && (
        <ul className="list-unstyled">
          {feeds.map(({ id, name, fetched }) => (
            <li key={id} className="evening-line">
              <span className="flex-grow-1">
                {name}: {fetched ? `read last ${momentInWords(fetched)}` : "not read yet"}
              </span>
              <Button
                size="sm"
                variant="outline-primary"
                disabled={going}
                aria-label={`End ${name}`}
                onClick={() => void press({ id })}
              >
                End it
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
        <TextField
          form={form}
          name="name"
          label="For which calendar"
          hint="A name to tell it by, like the kitchen’s."
        />
        <SubmitRow form={form} trouble={trouble} label="Make an address" variant="outline-primary" />
      </form>
    </>
  );
}
