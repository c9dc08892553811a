"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { dropSensorAction, keepSensorAction } from "@/app/_parts/actions";
import { usePress } from "@/app/_parts/usePress";
import { keepSensor } from "@/core/climate/sensors";
import { SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";

/** A device in the house that answers with what it has measured; it is asked every five minutes. */
export function SensorForm({ placeId }: { placeId: string }) {
  const router = useRouter();
  const [kept, setKept] = useState(false);
  const { form, submit, trouble } = useCommand({
    schema: keepSensor,
    action: keepSensorAction,
    defaults: () => ({ id: uuidv7(), placeId, name: "", address: "" }),
    done: () => {
      form.reset({ id: uuidv7(), placeId, name: "", address: "" });
      setKept(true);
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} onChange={() => setKept(false)} noValidate>
      <TextField form={form} name="name" label="Name" />
      <TextField
        form={form}
        name="address"
        label="Address"
        hint="Only this machine and your home network are contacted. To try it, use the simulated one: http://127.0.0.1:3189/air/terrace"
      />
      {kept && <Alert variant="success">Connected. Past days appear as soon as the sensor has sent them.</Alert>}
      <SubmitRow form={form} trouble={trouble} label="Connect" variant="outline-primary" />
    </form>
  );
}

/** Asks a device no more; what was made of what it told stays. */
export function DropSensor({ id }: { id: string }) {
  const { press, trouble, going } = usePress(dropSensorAction);
  return (
    <>
      <Button size="sm" variant="outline-primary" disabled={going} onClick={() => void press({ id })}>
        Disconnect
      </Button>
      {trouble && (
        <p className="text-danger-emphasis fw-semibold mb-0" role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
