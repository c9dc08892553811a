interface Jar {
  readonly get: (name: string) => { readonly value: string } | undefined;
}

/** By TLS the browser binds the cookie to this host and gives it to nobody else. */
export const SESSION_COOKIES = { secure: "__Host-wary-session", plain: "wary-session" } as const;

const SHAPE = /^[A-Za-z0-9_-]{43}$/;

/** The secret of the device that a request comes from, if it bears one; by TLS only under the name that no other site can set. */
export function sessionIn(jar: Jar, secure: boolean): string | null {
  const { value } = jar.get(secure ? SESSION_COOKIES.secure : SESSION_COOKIES.plain) ?? {};
  return value && SHAPE.test(value) ? value : null;
}
