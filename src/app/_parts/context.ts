import "server-only";
import { connection } from "next/server";
import { cache } from "react";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { openContext, type Context } from "@/operations/context";

/** The context of this request. Asking for it makes a page render anew at every visit. */
export const currentContext = cache(async (): Promise<Context> => {
  await connection();
  return openContext(databaseUrl(), now());
});
