/// <reference lib="webworker" />
import {
  CacheableResponsePlugin,
  ExpirationPlugin,
  NetworkFirst,
  NetworkOnly,
  Serwist,
  type PrecacheEntry,
} from "serwist";
import { isKeptPage, NO_LINE_PAGE, PAGES_CACHE, STANDING_PART } from "../../../offline/keptPages";

/** What stands between the pages and the line: without one the application opens from here. */
declare const self: ServiceWorkerGlobalScope & { readonly __SW_MANIFEST: (PrecacheEntry | string)[] };

/** A line that is there but leads nowhere is waited for so long before the kept page is shown. */
const PATIENCE_S = 4;
const MOST_PAGES = 300;

const keeping = [new CacheableResponsePlugin({ statuses: [200] }), new ExpirationPlugin({ maxEntries: MOST_PAGES })];
const lineFirst = { cacheName: PAGES_CACHE, networkTimeoutSeconds: PATIENCE_S };
const pages = new NetworkFirst({
  ...lineFirst,
  plugins: [
    ...keeping,
    { cachedResponseWillBeUsed: async ({ cachedResponse }) => cachedResponse && marked(cachedResponse) },
  ],
});
const parts = new NetworkFirst({ ...lineFirst, plugins: keeping });

/** A page that was kept says from when it is. */
async function marked(kept: Response): Promise<Response> {
  const at = kept.headers.get("date") ?? "";
  const html = (await kept.text()).replace("<html ", `<html data-kept-at="${at.replaceAll(/[^\w ,:-]/g, "")}" `);
  return new Response(html, { status: kept.status, headers: kept.headers });
}

const worker = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  skipWaiting: true,
  clientsClaim: true,
  // What the application itself is made of is asked for without its query: it is named for what is in it.
  precacheOptions: { cleanupOutdatedCaches: true },
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) => sameOrigin && request.mode === "navigate" && isKeptPage(url.pathname),
      handler: pages,
    },
    { matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname === STANDING_PART, handler: parts },
    { matcher: ({ request }) => request.mode === "navigate", handler: new NetworkOnly() },
  ],
  fallbacks: { entries: [{ url: NO_LINE_PAGE, matcher: ({ request }) => request.destination === "document" }] },
});

// A reckoner's settings stand behind the # of its address, which a response from here would lose.
self.addEventListener("fetch", (event) => {
  if (event.request.destination !== "worker") return;
  const url = new URL(event.request.url);
  url.hash = "";
  event.respondWith(
    (async () => {
      const kept = await worker.matchPrecache(url.href);
      const answer = kept ?? (await fetch(event.request));
      return new Response(answer.body, {
        status: answer.status,
        statusText: answer.statusText,
        headers: answer.headers,
      });
    })(),
  );
});

worker.addEventListeners();
