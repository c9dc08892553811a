import "server-only";

/** Whether a request that changes something was sent by a page of this application, and by no other in the same browser. */
export function isSameOrigin(request: Request): boolean {
  const origin = request.headers.get("origin");
  return origin !== null && URL.canParse(origin) && new URL(origin).host === request.headers.get("host");
}
