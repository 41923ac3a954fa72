import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { jobSchemaText } from "./job-schema";

writeFileSync(fileURLToPath(new URL("job-file.schema.json", import.meta.url)), jobSchemaText());
