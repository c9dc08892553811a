import { NextResponse, type NextRequest } from "next/server";
import { ADDRESS_HEADER, isSecure, NAMES_HEADER, SECURE_HEADER } from "@/app/_parts/server/peer";
import { kept } from "@/app/_parts/server/pageCache";
import { sessionIn } from "@/app/_parts/server/session";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { atTheDoor, isKnown, type AtTheDoor } from "@/operations/access/session";

/** Names under which this machine reaches itself; whoever comes by another name was sent here by a page of somebody else's. */
const LOCAL = ["127.0.0.1", "localhost", "[::1]"];

/** Methods that only read. */
const READS = new Set(["GET", "HEAD"]);

/** What anybody may ask for: the way in, what the application itself is made of, and a calendar, whose address is a secret of its own. */
const OPEN = /^\/(door(\/|$)|serwist\/|manifest\.webmanifest$|offline$|calendar\/feed\/[^/]+$)/;

const plain = (status: number, words: string) =>
  new NextResponse(`${words}\n`, {
    status,
    headers: { "content-type": "text/plain; charset=utf-8", "cache-control": "no-store" },
  });

/** The host a request names, without its port; null where it names none that can be one. */
function nameIn(host: string | null): string | null {
  return host && URL.canParse(`http://${host}`) ? new URL(`http://${host}`).hostname : null;
}

/**
 * Stands before every page, action and route: answers only to its own names, whatever the port; takes what writes only from
 * pages of this application; lets nobody in who is not known, once anybody is; and says of every page what it may load.
 */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const host = request.headers.get("host");
  const names = [...LOCAL, ...(request.headers.get(NAMES_HEADER)?.split(" ") ?? [])];
  if (!names.includes(nameIn(host) ?? "")) return plain(421, "Wary Petal answers only to its own addresses.");
  if (!READS.has(request.method) && !isOwnPage(request, host!))
    return plain(403, "This is taken from the application's own pages only.");
  try {
    decodeURIComponent(request.nextUrl.pathname);
  } catch {
    return plain(404, "There is no such page.");
  }
  const turnedAway = await atDoor(request);
  if (turnedAway) return turnedAway;
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  // With a certificate of the application's own a browser that remembered this could never go back.
  const lasting = request.headers.get(SECURE_HEADER) === "1";
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  if (lasting) response.headers.set("strict-transport-security", "max-age=31536000");
  return response;
}

/** The answer to whoever is not known; null for whoever may go on. */
async function atDoor(request: NextRequest): Promise<NextResponse | null> {
  const { pathname, search } = request.nextUrl;
  const token = sessionIn(request.cookies, isSecure(request.headers));
  let there: AtTheDoor;
  try {
    there = (await kept(`door ${token}`, () => atTheDoor(databaseUrl(), token, now()), isKnown)).view;
  } catch (error) {
    // Who has been known before is known while the database is silent; nobody else is let in on trust.
    console.error(error instanceof Error ? error.message : error);
    return plain(503, "The database does not answer. Try again in a moment.");
  }
  // Without an account only this machine itself is served, and only where nobody else could reach it.
  if (there.open)
    return isAlone(request) ? null : plain(403, "Set up an owner first: start without HOST, open Settings.");
  if (there.asker || OPEN.test(pathname)) return null;
  const page = READS.has(request.method) && request.headers.get("accept")?.includes("text/html") === true;
  if (!page) return plain(401, "Come in first.");
  const url = request.nextUrl.clone();
  url.pathname = "/door";
  url.search = pathname === "/" ? "" : `?${new URLSearchParams({ to: `${pathname}${search}` })}`;
  return NextResponse.redirect(url, 303);
}

function isAlone({ headers }: NextRequest): boolean {
  const address = headers.get(ADDRESS_HEADER);
  const named = (headers.get(NAMES_HEADER) ?? "") !== "";
  return !named && (address === null || address === "::1" || address.startsWith("127."));
}

/** Whether a request was sent by a page of this application, and by no other in the same browser. */
function isOwnPage(request: NextRequest, host: string): boolean {
  const origin = request.headers.get("origin");
  const site = request.headers.get("sec-fetch-site");
  if (origin === null || !URL.canParse(origin) || new URL(origin).host !== host) return false;
  return site === null || site === "same-origin";
}

export const config = {
  matcher: [{ source: "/((?!_next/static|icon.svg$|apple-icon.png$|mark-(?:192|512).png$).*)" }],
};
