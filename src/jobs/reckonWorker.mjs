// A thread begins without what its process has been taught: here it learns to read TypeScript.
import { register } from "tsx/esm/api";

register();
await import("./reckonWorker.ts");
