// Writes the JSON Schema of the case file for other programs: `npm run schema` after a change of the format.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { caseFileSchema } from "../src/core/format/schema";

const file = path.resolve(import.meta.dirname, "../docs/case-file.schema.json");
writeFileSync(file, `${JSON.stringify(caseFileSchema(), null, 2)}\n`);
