import type { Metadata } from "next";
import { zoneNames } from "@/zones";
import { Link } from "@/ui/Link";
import { may } from "@/core/access/roles";
import { Panel } from "@/ui/Panel";
import { ThemeSwitch } from "@/ui/shell/ThemeSwitch";
import { askerNow, currentContext } from "../_parts/server/context";
import { WithoutALine } from "./_parts/WithoutALine";
import { SettingsForm } from "./_parts/SettingsForm";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  const { collection, role } = await currentContext("see");
  const { id: _id, isDemo: _demo, ...settings } = collection;
  const asker = await askerNow();
  return (
    <>
      <div className="d-flex justify-content-between align-items-center mb-3">
        <h1 className="mb-0">Settings</h1>
        <ThemeSwitch className="btn btn-outline-primary d-lg-none d-flex gap-2 align-items-center" />
      </div>
      <div className="row gx-3">
        <div className="col-lg-4">
          <Panel title="People and devices">
            {asker ? (
              <p className="mb-0">
                You are {asker.name}, on {asker.device}.{" "}
                <Link href="/settings/people">Devices, passphrase, and who else can sign in</Link>
              </p>
            ) : (
              <p className="mb-0">
                Only this computer can open it, and nobody has to sign in.{" "}
                <Link href="/door/owner">Set up an owner</Link> to add your phone and other people.
              </p>
            )}
          </Panel>
        </div>
        {may(role, "read") && (
          <div className="col-lg-4">
            <Panel title="Import and export">
              <p className="mb-0">
                <Link href="/settings/data">The whole collection as a file, spreadsheets, backups</Link>
              </p>
            </Panel>
          </div>
        )}
        <div className="col-lg-4">
          <Panel title="Without a connection">
            <WithoutALine />
          </Panel>
        </div>
      </div>
      {may(role, "own") ? (
        <SettingsForm settings={settings} zones={zoneNames()} />
      ) : (
        <p>Only an owner can change these settings.</p>
      )}
    </>
  );
}
