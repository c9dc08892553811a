import { redirect } from "next/navigation";
import { asked, openNow } from "./_parts/context";

/** Whoever has a collection, or has chosen the demo, goes to its day; whoever has none begins. */
export default async function Home() {
  const { collectionId } = await asked();
  const all = await openNow();
  const known = all.some(({ collection: { id, isDemo } }) => id === collectionId || !isDemo);
  redirect(known ? "/today" : "/begin");
}
