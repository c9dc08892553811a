import type { Metadata } from "next";
import Link from "next/link";
import { Panel } from "@/ui/Panel";
import { asked } from "../../_parts/context";
import { RecoverForm } from "../_parts/DoorForm";

export const metadata: Metadata = { title: "Come in by a code" };

export default async function RecoverPage() {
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Come in by a code</h1>
      <p>The codes were shown when your passphrase was made. Your other devices will have to come in again.</p>
      <Panel title="A new passphrase">
        <RecoverForm device={device} />
      </Panel>
      <Link href="/door">Back</Link>
    </div>
  );
}
