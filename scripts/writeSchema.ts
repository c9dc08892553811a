// Writes the JSON Schemas of the open formats from the shapes that read them.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { experienceFileSchema } from "../src/core/record/format/experienceFile";
import { carriageFileSchema, caseFileSchema } from "../src/core/record/format/schema";

for (const [name, schema] of [
  ["case-file", caseFileSchema()],
  ["carriage-file", carriageFileSchema()],
  ["experience-file", experienceFileSchema()],
] as const) {
  writeFileSync(
    path.resolve(import.meta.dirname, `../docs/${name}.schema.json`),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
}
