import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { Panel } from "@/ui/Panel";
import { BottleForm, DropBottle } from "../_parts/BottleForm";

export const metadata: Metadata = { title: "Bottle" };

export default async function BottlePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { collection } = await currentContext();
  if (id === "new")
    return (
      <>
        <h1>Add a bottle</h1>
        <BottleForm />
      </>
    );
  const bottle = collection.bottles.find((one) => one.id === id);
  if (!bottle) notFound();
  return (
    <>
      <h1>{bottle.name}</h1>
      <BottleForm bottle={bottle} />
      <Panel title="Not one of your bottles">
        <DropBottle bottleId={bottle.id} />
      </Panel>
    </>
  );
}
