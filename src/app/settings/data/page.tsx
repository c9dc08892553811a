import type { Metadata } from "next";
import { may } from "@/core/access/roles";
import { backupSettings } from "@/env";
import { currentContext } from "@/app/_parts/server/context";
import { backupsOf } from "@/operations/transfer/backups";
import { csvTables } from "@/operations/transfer/csv";
import { Panel } from "@/ui/Panel";
import { momentInWords } from "@/wording/dates";
import { wallTimeIn } from "@/zones";
import { ImportForm } from "./_parts/ImportForm";
import { TablesForm } from "./_parts/TablesForm";

export const metadata: Metadata = { title: "Import and export" };

/** From so many days on the age of the last good backup is said loudly. */
const LOUD_DAYS = 7;
const DAY_MS = 86_400_000;

const csvNames = { plants: "Plants", looks: "Looks", finds: "Finds", acts: "Acts" } as const;

export default async function DataPage() {
  const context = await currentContext();
  const { collection, now } = context;
  const settings = backupSettings();
  const backups = settings ? await backupsOf(collection.id, settings.folder) : [];
  const last = backups[0];
  const late = !collection.isDemo && (!last || now.getTime() - last.at.getTime() > LOUD_DAYS * DAY_MS);
  return (
    <>
      <h1>Import and export</h1>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="Export everything">
            <p>
              Every plant, entry and photo of {collection.name}, including what was struck out: a zip of plain text that
              other programs can read too. Imported elsewhere it gives the same pages.
            </p>
            <a className="btn btn-primary" href="/settings/data/export" download>
              Save the file
            </a>
          </Panel>
          <Panel title="For a spreadsheet">
            <div className="d-flex flex-wrap gap-2">
              {csvTables.map((table) => (
                <a key={table} className="btn btn-outline-primary" href={`/settings/data/csv/${table}.csv`} download>
                  {csvNames[table]}
                </a>
              ))}
            </div>
          </Panel>
        </div>
        <div className="col-lg-6">
          {may(context.role, "own") && (
            <Panel title="Import a file">
              <p>
                A collection saved here or elsewhere is added to {collection.name}. What is here stays; nothing is added
                twice; it is all or nothing.
              </p>
              <ImportForm />
            </Panel>
          )}
          {may(context.role, "record") && (
            <Panel title="Import tables">
              <p>
                Looks, finds and acts, as saved here or as you kept them yourself: a header row with the column names,
                then one line each. A find needs <code>plant</code>, <code>at</code>, <code>pest</code> and{" "}
                <code>count</code>; the rest is optional. It is all or nothing, and nothing is added twice.
              </p>
              <TablesForm />
            </Panel>
          )}
          <Panel title="Backups" tone={late && settings ? "loud" : undefined}>
            {collection.isDemo ? (
              <p className="mb-0">The demo is made up and is not backed up.</p>
            ) : !settings ? (
              <p className="mb-0">Backups are switched off (BACKUP_FOLDER).</p>
            ) : !last ? (
              <p className="mb-0">There is no good backup yet. The first is made within minutes of starting.</p>
            ) : (
              <>
                <p>
                  {late ? "The last good one is from " : "The last one, restored and checked, is from "}
                  <strong>{momentInWords(wallTimeIn(last.at, collection.timeZone))}</strong>
                  {late ? ": more than a week ago. Check the messages where the application was started." : "."}
                </p>
                <p className="mb-0">
                  {backups.length} of {settings.keep} kept in <code>{settings.folder}</code>. Copy that folder somewhere
                  else now and then, in case the disk fails.
                </p>
              </>
            )}
          </Panel>
        </div>
      </div>
    </>
  );
}
