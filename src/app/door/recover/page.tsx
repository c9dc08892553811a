import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Panel } from "@/ui/Panel";
import { asked } from "../../_parts/server/context";
import { RecoverForm } from "../_parts/DoorForm";

export const metadata: Metadata = { title: "Sign in with a recovery code" };

export default async function RecoverPage() {
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Sign in with a recovery code</h1>
      <p>The codes were shown when you set your passphrase. Your other devices will have to sign in again.</p>
      <Panel title="A new passphrase">
        <RecoverForm device={device} />
      </Panel>
      <Link href="/door">Back</Link>
    </div>
  );
}
