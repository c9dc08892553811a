import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { Panel } from "@/ui/Panel";
import { asked, door, NO_NAME } from "../../_parts/server/context";
import { OwnerForm } from "../_parts/DoorForm";

export const metadata: Metadata = { title: "Set up an owner" };

export default async function OwnerPage() {
  const there = await door();
  // Once there is one, others are added under People and devices. The codes stay on the page that made the first.
  if (!there.open && !there.asker) redirect("/door");
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Set up an owner</h1>
      <p>
        So far anyone at this computer can do everything, and nobody else can reach it. Once there is an owner everyone
        has to sign in, here too; then you can add phones and other people, each with their own rights.
      </p>
      <Panel title="You">
        <OwnerForm device={device === NO_NAME ? "" : device} />
      </Panel>
    </div>
  );
}
