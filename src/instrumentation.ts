/** Called once when the server starts, in each of its runtimes. */
export async function register(): Promise<void> {
  // Written out, not read through env.ts: the builder drops what follows from the bundles of other runtimes.
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const [{ databaseUrl }, { now }, { startRebuilding }] = await Promise.all([
    import("./env"),
    import("./clock"),
    import("./operations/rebuild"),
  ]);
  // Without its jobs the application still works; it only brings fewer cases up to date at a time.
  await startRebuilding(databaseUrl(), now).catch((error: unknown) => {
    console.error("No jobs are run:", error instanceof Error ? error.message : error);
  });
}
