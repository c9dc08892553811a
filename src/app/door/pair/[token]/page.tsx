import type { Metadata } from "next";
import { takePairing } from "@/core/access/commands";
import { readPairing } from "@/operations/access/door";
import { Panel } from "@/ui/Panel";
import { asked, callerNow, NO_NAME } from "../../../_parts/server/context";
import { PairingForm } from "../../_parts/DoorForm";

export const metadata: Metadata = { title: "Sign this device in", referrer: "no-referrer" };

/** Looking at the page uses nothing up: only the press does, since programs that preview links look too. */
export default async function PairPage({ params }: { params: Promise<{ token: string }> }) {
  const token = takePairing.shape.token.safeParse((await params).token);
  const pairing = token.success ? await readPairing(await callerNow(), token.data) : null;
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Sign this device in</h1>
      {token.success && pairing ? (
        <Panel title={`For ${pairing.name}`}>
          <PairingForm token={token.data} device={device === NO_NAME ? "" : device} />
        </Panel>
      ) : (
        <p>This link has expired: it works once, within five minutes. Ask for a new one.</p>
      )}
    </div>
  );
}
