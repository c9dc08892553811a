import type { Metadata } from "next";
import { headers } from "next/headers";
import { Link } from "@/ui/Link";
import { redirect } from "next/navigation";
import { may, roleIds } from "@/core/access/roles";
import { isSecure, NAMES_HEADER } from "@/app/_parts/server/peer";
import { askerNow, callerNow, currentContext, door } from "@/app/_parts/server/context";
import { hasPassphrase, readOwnDevices, readPeople, type ListedDevice } from "@/operations/access/people";
import { momentInWords } from "@/wording/dates";
import { roleMeans, roleNames } from "@/wording/names/access";
import { Panel } from "@/ui/Panel";
import { wallTimeIn } from "@/zones";
import { AddPersonForm } from "./_parts/AddPersonForm";
import { Devices } from "./_parts/Devices";
import { PairDevice } from "./_parts/PairDevice";
import { PassphraseForm } from "./_parts/PassphraseForm";
import { RoleForm } from "./_parts/RoleForm";

export const metadata: Metadata = { title: "People and devices" };

/** The addresses under which other devices reach this one; none while it answers only itself. */
async function addresses(): Promise<string[]> {
  const said = await headers();
  const [, port] = (said.get("host") ?? "").split(/:(?=\d+$)/);
  const scheme = isSecure(said) ? "https" : "http";
  const names = (said.get(NAMES_HEADER) ?? "").split(" ").filter((name) => name !== "");
  return names.map((name) => `${scheme}://${name}${port ? `:${port}` : ""}`);
}

export default async function PeoplePage() {
  const context = await currentContext("see");
  const asker = await askerNow();
  if (!asker) redirect((await door()).open ? "/door/owner" : "/door");
  const own = await readOwnDevices(await callerNow(), asker);
  const owns = may(context.role, "own");
  const people = owns ? (await readPeople(context)).people : [];
  const first = !(await hasPassphrase(await callerNow(), asker));
  const at = await addresses();
  const { timeZone } = context.collection;
  const shown = (devices: readonly ListedDevice[]) =>
    devices.map(({ id, name, seenAt }) => ({
      ...{ id, name, here: id === asker.deviceId },
      seen: momentInWords(wallTimeIn(seenAt, timeZone)),
    }));
  return (
    <>
      <h1>People and devices</h1>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title={asker.name}>
            <Devices devices={shown(own)} />
            {at.length > 0 && !isSecure(await headers()) && (
              <p>
                This connection is not encrypted: anyone on the same network can read along and sign in as you. If you
                do not know everyone on it, start with <code>TLS=own</code> before you add a phone.
              </p>
            )}
            <PairDevice accountId={asker.accountId} label="Add my phone" addresses={at} />
            <details className="mt-3">
              <summary>{first ? "Set a passphrase" : "Change my passphrase"}</summary>
              <PassphraseForm name={asker.name} first={first} />
            </details>
          </Panel>
        </div>
        {owns && (
          <div className="col-lg-6">
            <Panel title={`Who can use ${context.collection.name}`}>
              <ul className="list-unstyled">
                {people.map(({ accountId, name, role, from, until, hasPassphrase, devices }) => (
                  <li key={accountId} className="mb-3">
                    <h3 className="h5 mb-1">{name}</h3>
                    <RoleForm accountId={accountId} name={name} role={role} from={from} until={until} />
                    {accountId !== asker.accountId && <Devices devices={shown(devices)} />}
                    {accountId !== asker.accountId && !hasPassphrase && (
                      <PairDevice accountId={accountId} label={`Add a device for ${name}`} addresses={at} />
                    )}
                  </li>
                ))}
              </ul>
            </Panel>
            <Panel title="Add someone">
              <AddPersonForm />
              <ul className="mt-3 mb-0">
                {roleIds.map((role) => (
                  <li key={role}>
                    <strong>{roleNames[role]}</strong> {roleMeans[role]}.
                  </li>
                ))}
              </ul>
            </Panel>
            <p>
              <Link href="/settings/doings">Who did what, and when</Link>
            </p>
          </div>
        )}
      </div>
    </>
  );
}
