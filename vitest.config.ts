import path from "node:path";
import { defineConfig } from "vitest/config";

const alias = { "@": path.resolve(import.meta.dirname, "src") };

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          include: ["src/{app,core,wording,ui,cli}/**/*.test.{ts,tsx}", "src/*.test.ts", "scripts/**/*.test.ts"],
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
          fileParallelism: false,
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
      {
        extends: true,
        test: {
          name: "browser",
          include: ["e2e/**/*.test.ts"],
          globalSetup: ["e2e/globalSetup.ts"],
          fileParallelism: false,
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
