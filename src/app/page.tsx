import { redirect } from "next/navigation";
import { asked, collectionsNow } from "./_parts/context";

/** Whoever has a collection, or has chosen the demo, goes to its day; whoever has none begins. */
export default async function Home() {
  const { collectionId } = await asked();
  const all = await collectionsNow();
  const known = all.some(({ id, isDemo }) => id === collectionId || !isDemo);
  redirect(known ? "/today" : "/begin");
}
