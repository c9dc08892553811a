import { NextResponse, type NextRequest } from "next/server";

/** Names under which this machine reaches itself; whoever comes by another name was sent here by a page of somebody else's. */
const LOCAL = new Set(["127.0.0.1", "localhost", "[::1]"]);

/** Methods that only read. */
const READS = new Set(["GET", "HEAD"]);

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
 * Stands before every page, action and route: answers only to local names, whatever the port; takes what writes only from
 * pages of this application; and says of every page what it may load.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get("host");
  if (!LOCAL.has(nameIn(host) ?? "")) return plain(421, "Wary Petal answers only to its local address.");
  if (!READS.has(request.method) && !isOwnPage(request, host!))
    return plain(403, "This is taken from the application's own pages only.");
  try {
    decodeURIComponent(request.nextUrl.pathname);
  } catch {
    return plain(404, "There is no such page.");
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
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
  return response;
}

/** Whether a request was sent by a page of this application, and by no other in the same browser. */
function isOwnPage(request: NextRequest, host: string): boolean {
  const origin = request.headers.get("origin");
  const site = request.headers.get("sec-fetch-site");
  if (origin === null || !URL.canParse(origin) || new URL(origin).host !== host) return false;
  return site === null || site === "same-origin";
}

export const config = { matcher: [{ source: "/((?!_next/static|icon.svg).*)" }] };
