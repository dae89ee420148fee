// npm run schema: writes docs/lines.schema.json, what each line of a copy as lines is, out of the tables as they are.
import { writeFileSync } from "node:fs";
import { describeLines } from "@/data/linesSchema";
import { openDatabase } from "@/data/openDatabase";

const db = openDatabase(":memory:", "src/data/migrations");
writeFileSync("docs/lines.schema.json", `${JSON.stringify(describeLines(db), null, 2)}\n`);
db.close();
