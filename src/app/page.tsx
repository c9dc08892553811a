import { redirect } from "next/navigation";
import { asked, askerNow, openNow } from "./_parts/server/context";

/** Whoever has a collection, has chosen the demo or was let in to it, goes to its day; whoever has none begins. */
export default async function Home() {
  const { collectionId } = await asked();
  const all = await openNow();
  const asker = await askerNow();
  const known = all.some(({ collection: { id, isDemo } }) => asker || id === collectionId || !isDemo);
  redirect(known ? "/today" : "/begin");
}
