interface Jar {
  readonly get: (name: string) => { readonly value: string } | undefined;
}

/** By TLS the browser binds the cookie to this host and gives it to nobody else. */
export const SESSION_COOKIES = { secure: "__Host-wary-session", plain: "wary-session" } as const;

const SHAPE = /^[A-Za-z0-9_-]{43}$/;

/** The secret of the device that a request comes from, if it bears one. */
export function sessionIn(jar: Jar): string | null {
  const value = (jar.get(SESSION_COOKIES.secure) ?? jar.get(SESSION_COOKIES.plain))?.value;
  return value && SHAPE.test(value) ? value : null;
}
