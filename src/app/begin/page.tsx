import type { Metadata } from "next";
import { zoneNames } from "@/zones";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { mayBegin } from "@/operations/access/session";
import { Panel } from "@/ui/Panel";
import { asked, contextIfAny, door, NO_NAME, openNow } from "../_parts/server/context";
import { BeginForm } from "./_parts/BeginForm";
import { Choose } from "./_parts/Choose";
import { Demo } from "./_parts/Demo";
import { DeviceName } from "./_parts/DeviceName";

export const metadata: Metadata = { title: "Start" };

/** The first page for whoever has no collection yet, and the one to choose another on. */
export default async function BeginPage() {
  const all = (await openNow()).map(({ collection }) => collection);
  const begins = await mayBegin(databaseUrl(), await door(), now());
  const shownId = (await contextIfAny())?.collection.id ?? null;
  const { device: named } = await asked();
  const device = named === NO_NAME ? "" : named;
  const own = all.filter(({ isDemo }) => !isDemo).map(({ id, name }) => ({ id, name }));
  const demo = all.find(({ isDemo }) => isDemo);
  return (
    <>
      <h1>Your plants, or the demo?</h1>
      <p>
        Wary Petal keeps a record of every plant you look at, works out when a treatment must be repeated, and says how
        likely it is that a pest is really gone. {own.length === 0 && <a href="#demo">Try the demo first</a>}
      </p>
      <div className="row gx-3">
        <div className="col-lg-6">
          {own.length > 0 && (
            <Panel title="Your collections">
              <Choose collections={own} shownId={shownId} />
            </Panel>
          )}
          {!begins ? null : own.length > 0 ? (
            <details className="mb-3">
              <summary className="fs-5">Start another collection</summary>
              <Panel title="A new collection">
                <BeginForm zones={zoneNames()} device={device} />
              </Panel>
            </details>
          ) : (
            <Panel title="Start your own">
              <BeginForm zones={zoneNames()} device={device} />
            </Panel>
          )}
        </div>
        <div className="col-lg-6" id="demo">
          {begins && (
            <Panel title="Try the demo">
              <p>A lighthouse full of plants and a year of records, all made up. Do with it what you like.</p>
              <Demo isThere={demo !== undefined} isShown={demo?.id === shownId} />
            </Panel>
          )}
          {all.length > 0 && (
            <Panel title="This device">
              <DeviceName device={device} />
            </Panel>
          )}
        </div>
      </div>
    </>
  );
}
