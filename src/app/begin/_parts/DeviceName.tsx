"use client";

import { useState, type FormEvent } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { requiredText } from "@/core/shared/fields";
import { DEVICE_COOKIE, remember } from "@/ui/shell/cookies";
import "@/wording/record/problems";

/** The name under which this device writes things down. */
export const deviceField = requiredText(40);

export function DeviceName({ device }: { device: string }) {
  const [typed, setTyped] = useState(device);
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const save = (event: FormEvent) => {
    event.preventDefault();
    const read = deviceField.safeParse(typed);
    if (!read.success) return setSaid({ wrong: true, text: read.error.issues[0]!.message });
    remember(DEVICE_COOKIE, read.data);
    setSaid({ wrong: false, text: "Kept." });
  };
  return (
    <Form onSubmit={save} noValidate>
      <Form.Label htmlFor="device" className="fw-semibold mb-1">
        Name
      </Form.Label>
      <Form.Control
        id="device"
        value={typed}
        autoComplete="off"
        aria-describedby="device-hint"
        isInvalid={said?.wrong}
        onChange={(event) => {
          setTyped(event.target.value);
          setSaid(null);
        }}
      />
      <Form.Text id="device-hint" className="d-block mb-2">
        It is shown next to everything you record here, so that several keepers can tell who did what.
      </Form.Text>
      {said && <Alert variant={said.wrong ? "danger" : "success"}>{said.text}</Alert>}
      <Button type="submit" variant="outline-primary">
        Save the name
      </Button>
    </Form>
  );
}
