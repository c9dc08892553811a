"use client";

import { useState } from "react";
import { changePassphraseAction } from "@/app/door/_parts/actions";
import { RecoveryCodes } from "@/app/door/_parts/DoorForm";
import { changePassphrase } from "@/core/access/commands";
import { SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";

/** A passphrase for whoever came by a link, or another one. Other devices have to come in again. */
export function PassphraseForm({ name, first }: { name: string; first: boolean }) {
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const { form, submit, trouble } = useCommand({
    schema: changePassphrase,
    action: changePassphraseAction,
    defaults: () => ({ old: "", passphrase: "" }),
    done: ({ recoveryCodes }) => setCodes(recoveryCodes as string[]),
  });
  if (codes) return <RecoveryCodes codes={codes} onward={() => location.reload()} />;
  return (
    <form onSubmit={submit} noValidate className="mt-2">
      <input type="text" name="username" defaultValue={name} autoComplete="username" hidden readOnly />
      {!first && (
        <TextField form={form} name="old" label="Current passphrase" type="password" autoComplete="current-password" />
      )}
      <TextField
        form={form}
        name="passphrase"
        label="A new passphrase"
        type="password"
        autoComplete="new-password"
        hint="12 characters or more. Your other devices will have to sign in again."
      />
      <SubmitRow form={form} trouble={trouble} label="Save it" />
    </form>
  );
}
