import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/bricolage-grotesque";
import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { FlowerSprite } from "@/ui/mark/FlowerSprite";
import { CollectionProvider } from "@/ui/shell/Collection";
import { DemoBanner } from "@/ui/shell/DemoBanner";
import { Keys } from "@/ui/shell/Keys";
import { Rail } from "@/ui/shell/Rail";
import { Theme } from "@/ui/shell/Theme";
import { NotRead } from "@/ui/NotRead";
import { Troubles } from "./_parts/Troubles";
import { may } from "@/core/access/roles";
import { readTroubles } from "@/operations/shared/fence";
import { readTimers } from "@/operations/acts/queries/readTimers";
import { TimersHere } from "./_parts/timers/Timers";
import { askerNow, contextIfAny } from "./_parts/server/context";
import { cachedBeside } from "./_parts/server/pageCache";
import { KeptFrom } from "./_parts/KeptFrom";
import { KeepPages } from "./_parts/KeepPages";
import { SendLater } from "./_parts/SendLater";
import "@/ui/theme.scss";

export const metadata: Metadata = { title: { default: "Wary Petal", template: "%s · Wary Petal" } };
export const viewport: Viewport = { width: "device-width", initialScale: 1 };

/** The collection that is shown, for the shell; a page whose collection cannot be read says so itself. */
async function shown() {
  const context = await contextIfAny().catch((error: unknown) => {
    // The page itself says that it could not be read; nothing of its collection is shown around it.
    console.error(error);
    return null;
  });
  if (!context) return null;
  const { id, name, timeZone, units, isDemo, poisonCentre } = context.collection;
  const see = may(context.role, "see");
  const [timers, troubles] = await Promise.all([
    see ? cachedBeside(`${id} timers`, () => readTimers(context)) : [],
    see ? cachedBeside(`${id} troubles`, () => readTroubles(context)) : [],
  ]);
  const who = (await askerNow())?.accountId ?? "";
  return { id, name, timeZone, units, isDemo, poisonCentre, who, role: context.role, timers, troubles };
}

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  const collection = await shown();
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Theme nonce={nonce}>
          <CollectionProvider shown={collection}>
            <a href="#main" className="visually-hidden-focusable">
              Skip to content
            </a>
            <FlowerSprite />
            <div className="shell">
              <Rail />
              <main id="main" className="ground">
                <DemoBanner />
                <SendLater />
                {collection?.timers && <TimersHere known={collection.timers} />}
                {collection && !collection.timers && <NotRead what="Timers" />}
                {collection?.troubles && <Troubles all={collection.troubles} timeZone={collection.timeZone} />}
                <KeepPages />
                <KeptFrom />
                {children}
              </main>
            </div>
            <Keys />
          </CollectionProvider>
        </Theme>
      </body>
    </html>
  );
}
