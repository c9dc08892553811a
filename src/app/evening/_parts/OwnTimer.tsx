"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { useTimerCommands } from "@/app/_parts/timers/useTimers";
import { timerIds, type TimerId } from "@/core/acts/timerIds";
import { Panel } from "@/ui/Panel";
import { offerInWords, offers } from "@/wording/record/timers";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

const usualMinutes: Record<TimerId, number> = { soak: 20, contact: 10, rinse: 60, dark: 24 * 60, fan: 240, wait: 90 };

/** A timer for all of an evening: a pot that soaks, something that is left to act, an hour or two of waiting. */
export function OwnTimer() {
  const { start } = useTimerCommands();
  const [what, setWhat] = useState<TimerId>("soak");
  const [typed, setTyped] = useState(String(usualMinutes.soak));
  const minutes = Math.round(Number(typed));
  const good = minutes >= 1 && minutes <= 7 * 24 * 60;
  return (
    <Panel title="Set a timer">
      <div className="row gx-2">
        <SelectBox
          className="col-7 mb-2"
          label="What for"
          value={what}
          options={named(timerIds, offers)}
          onPick={(one) => {
            setWhat(one);
            setTyped(String(usualMinutes[one]));
          }}
        />
        <Form.Group controlId="timer-minutes" className="col-5 mb-2">
          <Form.Label className="fw-semibold mb-1">Minutes</Form.Label>
          <Form.Control
            inputMode="numeric"
            value={typed}
            isInvalid={!good}
            onChange={(event) => setTyped(event.target.value)}
          />
        </Form.Group>
      </div>
      <Button variant="outline-primary" disabled={!good} onClick={() => start(what, minutes, null)}>
        {good ? offerInWords({ what, minutes }) : "From 1 minute to a week"}
      </Button>
    </Panel>
  );
}
