// Draws the rooms of the house from their imports into docs/architecture.md; with --check it only says whether the picture is of today.
import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { cruise } from "dependency-cruiser";
import extractTSConfig from "dependency-cruiser/config-utl/extract-ts-config";

const root = path.resolve(import.meta.dirname, "..");
const file = path.join(root, "docs/architecture.md");
const config = path.join(root, "tsconfig.json");

/** The rooms under a folder and who imports from whom, as a diagram. */
async function rooms(folder) {
  const { output } = await cruise(
    [folder],
    {
      baseDir: root,
      includeOnly: `^${folder}/`,
      exclude: "(\\.test\\.tsx?$|/tests/|/testing/)",
      collapse: `^${folder}/[^/]+`,
      outputType: "mermaid",
      tsPreCompilationDeps: true,
      ruleSet: { options: { tsConfig: { fileName: config } } },
    },
    undefined,
    { tsConfig: extractTSConfig(config) },
  );
  return `\`\`\`mermaid\n${String(output).trim()}\n\`\`\``;
}

const drawn = [await rooms("src"), await rooms("src/core")].join("\n\n");
const before = readFileSync(file, "utf8");
const after = before.replace(
  /<!-- house -->[^]*<!-- \/house -->/,
  () => `<!-- house -->\n\n${drawn}\n\n<!-- /house -->`,
);
if (process.argv.includes("--check") && after !== before) {
  console.error("The picture of the house in docs/architecture.md is of another day: npm run house draws it anew.");
  process.exitCode = 1;
} else if (after !== before) writeFileSync(file, after);
