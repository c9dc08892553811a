import type { Metadata } from "next";
import { may } from "@/core/access/roles";
import { backupSettings } from "@/env";
import { currentContext } from "@/app/_parts/context";
import { backupsOf } from "@/operations/transfer/backups";
import { csvTables } from "@/operations/transfer/csv";
import { Panel } from "@/ui/Panel";
import { momentInWords } from "@/wording/dates";
import { wallTimeIn } from "@/zones";
import { ImportForm } from "./_parts/ImportForm";
import { TablesForm } from "./_parts/TablesForm";

export const metadata: Metadata = { title: "In and out" };

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
      <h1>In and out</h1>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="Everything, as one file">
            <p>
              Every plant, fact and photo of {collection.name}, what was struck out among them: a zip of plain text that
              other programs read too. Brought in elsewhere it gives the same pages.
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
            <Panel title="Bring a file in">
              <p>
                A collection that was saved here or elsewhere comes into {collection.name}. What is here stays; twice is
                once; it is all of it or nothing.
              </p>
              <ImportForm />
            </Panel>
          )}
          {may(context.role, "record") && (
            <Panel title="Bring tables in">
              <p>
                Looks, finds and acts, as they are saved here or as you kept them yourself: a first line that names the
                columns, then a line each. A find needs <code>plant</code>, <code>at</code>, <code>pest</code> and{" "}
                <code>count</code>; the rest may be left out. It is all of it or nothing, and twice is once.
              </p>
              <TablesForm />
            </Panel>
          )}
          <Panel title="Backups" tone={late && settings ? "loud" : undefined}>
            {collection.isDemo ? (
              <p className="mb-0">The demo is made up and is not backed up.</p>
            ) : !settings ? (
              <p className="mb-0">None are made here: BACKUP_FOLDER says so.</p>
            ) : !last ? (
              <p className="mb-0">There is no good backup yet. The first is made within minutes of starting.</p>
            ) : (
              <>
                <p>
                  {late ? "The last good one is from " : "The last one, restored and found whole, is from "}
                  <strong>{momentInWords(wallTimeIn(last.at, collection.timeZone))}</strong>
                  {late ? ": more than a week ago. Look at what the application says where it was started." : "."}
                </p>
                <p className="mb-0">
                  {backups.length} of {settings.keep} kept in <code>{settings.folder}</code>. Copy that folder somewhere
                  else now and then: a disk that dies takes both.
                </p>
              </>
            )}
          </Panel>
        </div>
      </div>
    </>
  );
}
