/** Called once when the server starts, in each of its runtimes. */
export async function register(): Promise<void> {
  // Written out, not read through env.ts: the builder drops what follows from the bundles of other runtimes.
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const [{ databaseUrl }, { now }, { startRebuilding }] = await Promise.all([
    import("./env"),
    import("./clock"),
    import("./operations/rebuild"),
  ]);
  await startRebuilding(databaseUrl(), now);
}
