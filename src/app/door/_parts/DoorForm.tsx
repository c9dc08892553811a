"use client";

import { useEffect, useState } from "react";
import Button from "react-bootstrap/Button";
import { v7 as uuidv7 } from "uuid";
import { logIn, makeOwner, recover, takePairing } from "@/core/access/commands";
import { goTo } from "@/app/_parts/goTo";
import { FieldList, text } from "@/ui/fields/FieldList";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { forgetPages } from "@/offline/keptPages";
import { DEVICE_COOKIE, remember } from "@/ui/shell/cookies";
import { logInAction, makeOwnerAction, recoverAction, takePairingAction } from "./actions";

const HINT = "12 characters or more; spaces count. Three or four unrelated words are easy to remember.";
const NAME = text("name", "Your name", { autoComplete: "username" });
const DEVICE = text("device", "Name of this device", { hint: "It is shown next to what you record on it." });
const newPassphrase = (label: string) =>
  text("passphrase", label, { type: "password", autoComplete: "new-password", hint: HINT });

export function LogInForm({ device, to }: { device: string; to: string }) {
  // Whoever is asked who they are is shown nothing that was kept for somebody else.
  useEffect(() => void forgetPages(), []);
  const { form, submit, trouble } = useCommand({
    schema: logIn,
    action: (none, input) => {
      remember(DEVICE_COOKIE, (input as { device: string }).device.trim());
      return logInAction(none, input);
    },
    defaults: () => ({ name: "", passphrase: "", device }),
    done: () => goTo(to),
  });
  return (
    <form onSubmit={submit} noValidate>
      <FieldList
        form={form}
        fields={[
          NAME,
          text("passphrase", "Your passphrase", { type: "password", autoComplete: "current-password" }),
          device === "" && DEVICE,
        ]}
      />
      <SubmitRow form={form} trouble={trouble} label="Sign in" />
    </form>
  );
}

export function OwnerForm({ device }: { device: string }) {
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const { form, submit, trouble } = useCommand({
    schema: makeOwner,
    action: (none, input) => {
      remember(DEVICE_COOKIE, (input as { device: string }).device.trim());
      return makeOwnerAction(none, input);
    },
    defaults: () => ({ id: uuidv7(), name: "", passphrase: "", device }),
    done: ({ recoveryCodes }) => setCodes(recoveryCodes as string[]),
  });
  if (codes) return <RecoveryCodes codes={codes} onward={() => goTo("/settings/people")} />;
  return (
    <form onSubmit={submit} noValidate>
      <FieldList form={form} fields={[NAME, newPassphrase("A passphrase"), DEVICE]} />
      <SubmitRow form={form} trouble={trouble} label="Make me the owner" />
    </form>
  );
}

export function RecoverForm({ device }: { device: string }) {
  const { form, submit, trouble } = useCommand({
    schema: recover,
    action: recoverAction,
    defaults: () => ({ name: "", code: "", passphrase: "", device }),
    done: () => goTo("/"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <FieldList
        form={form}
        fields={[
          NAME,
          text("code", "A recovery code", { hint: "Each code works once." }),
          newPassphrase("A new passphrase"),
        ]}
      />
      <SubmitRow form={form} trouble={trouble} label="Sign in" />
    </form>
  );
}

export function PairingForm({ token, device }: { token: string; device: string }) {
  const { form, submit, trouble } = useCommand({
    schema: takePairing,
    action: (none, input) => {
      remember(DEVICE_COOKIE, (input as { device: string }).device.trim());
      return takePairingAction(none, input);
    },
    defaults: () => ({ token, device }),
    done: () => goTo("/"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <FieldList form={form} fields={[DEVICE]} />
      <SubmitRow form={form} trouble={trouble} label="Sign this device in" />
    </form>
  );
}

/** Codes that are shown once. */
export function RecoveryCodes({ codes, onward }: { codes: readonly string[]; onward: () => void }) {
  return (
    <>
      <p role="status">
        Write these codes down or print them, and keep them with your papers. Each lets you in once if you forget your
        passphrase. <strong>They are shown only now.</strong>
      </p>
      <ul className="list-unstyled fs-5 font-monospace">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <div className="d-flex gap-2">
        <Button variant="outline-primary" onClick={() => print()}>
          Print
        </Button>
        <Button onClick={onward}>I have saved them</Button>
      </div>
    </>
  );
}
