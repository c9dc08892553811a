// Writes the JSON Schemas of the open formats from the shapes that read them.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { carriageFileSchema, caseFileSchema } from "../src/core/format/schema";

for (const [name, schema] of [
  ["case-file", caseFileSchema()],
  ["carriage-file", carriageFileSchema()],
] as const) {
  writeFileSync(
    path.resolve(import.meta.dirname, `../docs/${name}.schema.json`),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
}
