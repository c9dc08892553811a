import path from "node:path";
import { defineConfig } from "vitest/config";

const alias = { "@": path.resolve(import.meta.dirname, "src") };

export default defineConfig({
  resolve: { alias },
  test: {
    // Two at a time, whatever they are: the machines that run this have two cores.
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          include: [
            "src/{app,core,imaging,offline,wording,ui,cli}/**/*.test.{ts,tsx}",
            "src/*.test.ts",
            "scripts/**/*.test.ts",
          ],
          // Nothing here changes what another file sees; what they import is read once for all.
          isolate: false,
          // Some reckon for a second; a loaded machine makes that several.
          testTimeout: 60_000,
        },
      },
      {
        extends: true,
        test: {
          name: "database",
          include: ["src/{db,operations,jobs}/**/*.test.ts", "demo/**/*.test.ts"],
          globalSetup: ["src/db/testing/database.ts"],
          // Each file has a database of its own, and shares nothing else.
          isolate: false,
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        extends: true,
        test: {
          name: "browser",
          include: ["e2e/**/*.test.ts"],
          globalSetup: ["e2e/globalSetup.ts"],
          testTimeout: 300_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
