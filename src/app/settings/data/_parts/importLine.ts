import type { Imported } from "@/operations/transfer/importCollection";

/** What is said, line by line, of a file that is being brought in: how far it is; at last what came of it, or what is wrong. */
export type ImportLine =
  { readonly done: number; readonly of: number } | { readonly came: Imported } | { readonly problem: string };
