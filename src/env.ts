import { z } from "zod";

const schema = z.object({ DATABASE_URL: z.url({ protocol: /^postgres(ql)?$/ }) });

/** The only reader of the environment. Throws a sentence a keeper can act on when something is missing. */
export function databaseUrl(): string {
  const parsed = schema.safeParse(process.env);
  if (!parsed.success)
    throw new Error("DATABASE_URL must be set to a postgres:// address; `npm start` does so by itself.");
  return parsed.data.DATABASE_URL;
}
