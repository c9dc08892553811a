// `npm run --silent wary -- assess|plan|carries FILE`: the command, bundled when it has changed.
import { pathToFileURL } from "node:url";
import { bundle, ensureCommand } from "./lib/command.mjs";

await ensureCommand();
await import(pathToFileURL(bundle).href);
