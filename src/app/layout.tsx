import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/bricolage-grotesque";
import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { FlowerSprite } from "@/ui/mark/FlowerSprite";
import { SendLater } from "./_parts/SendLater";
import { Keys } from "@/ui/shell/Keys";
import { CornerSettings, Rail } from "@/ui/shell/Rail";
import { themeScript } from "@/ui/shell/themeScript";
import "@/ui/theme.scss";

export const metadata: Metadata = { title: { default: "Wary Petal", template: "%s · Wary Petal" } };
export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" data-bs-theme="light" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: themeScript }} />
      </head>
      <body>
        <a href="#main" className="visually-hidden-focusable">
          To the content
        </a>
        <FlowerSprite />
        <div className="shell">
          <Rail />
          <CornerSettings />
          <main id="main" className="ground">
            <SendLater />
            {children}
          </main>
        </div>
        <Keys />
      </body>
    </html>
  );
}
