import "server-only";
import { cookies, headers } from "next/headers";
import { isSecure } from "@/app/_parts/server/peer";
import { SESSION_COOKIES, sessionIn } from "@/app/_parts/server/session";
import type { LetIn } from "@/operations/access/door";

/** How long a browser keeps the secret; whether it still holds is decided here. */
const KEPT_S = 180 * 86_400;

/** Gives this browser its secret. No script may read it, and no other site makes the browser send it. */
export async function remember({ token }: LetIn): Promise<void> {
  const secure = isSecure(await headers());
  const jar = await cookies();
  const name = secure ? SESSION_COOKIES.secure : SESSION_COOKIES.plain;
  jar.set(name, token, { httpOnly: true, sameSite: "lax", secure, path: "/", maxAge: KEPT_S });
}

export async function forget(): Promise<void> {
  const jar = await cookies();
  for (const name of Object.values(SESSION_COOKIES))
    jar.delete({ name, path: "/", secure: name.startsWith("__Host-") });
}

/** The secret that this browser has now. */
export async function held(): Promise<string | null> {
  return sessionIn(await cookies(), isSecure(await headers()));
}
