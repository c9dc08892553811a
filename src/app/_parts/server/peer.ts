/**
 * What the process that listens says of each request, whatever the request says itself: the address it came from, whether it came
 * by TLS, and the names under which it may be asked.
 */
export const ADDRESS_HEADER = "x-wary-address";
export const SECURE_HEADER = "x-wary-secure";

/** Whether a request came by TLS, with whosever certificate. */
export const isSecure = (headers: Pick<Headers, "get">) => headers.get(SECURE_HEADER) !== null;
export const NAMES_HEADER = "x-wary-names";
