import type { Metadata } from "next";
import { currentContext } from "../_parts/context";
import { MixingDesk } from "./_parts/MixingDesk";

export const metadata: Metadata = { title: "Mixing" };

export default async function MixingPage() {
  const { collection } = await currentContext();
  return (
    <>
      <h1>Mixing</h1>
      <MixingDesk measuring={collection} home={collection} />
    </>
  );
}
