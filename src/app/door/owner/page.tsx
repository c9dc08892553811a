import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { Panel } from "@/ui/Panel";
import { asked, door, NO_NAME } from "../../_parts/context";
import { OwnerForm } from "../_parts/DoorForm";

export const metadata: Metadata = { title: "Make an owner" };

export default async function OwnerPage() {
  const there = await door();
  // Once there is one, others are added under People and devices. The codes stay on the page that made the first.
  if (!there.open && !there.asker) redirect("/door");
  const { device } = await asked();
  return (
    <div className="narrow">
      <h1>Make an owner</h1>
      <p>
        Until now whoever sits at this machine may do everything, and nobody else can reach it. With an owner, everybody
        is asked who they are, here too; then phones can be let in, and other people, each with what they may do.
      </p>
      <Panel title="You">
        <OwnerForm device={device === NO_NAME ? "" : device} />
      </Panel>
    </div>
  );
}
