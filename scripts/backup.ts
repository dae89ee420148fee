// npm run backup [-- FILE]: a copy of the data file, into its folder of copies, or to FILE as well.
import { copyFileSync } from "node:fs";
import path from "node:path";
import { createCopies, findCopiesFolder, listCopies } from "@/data/copies";
import { packCopy } from "@/data/copyFile";
import { openDatabase } from "@/data/openDatabase";

async function main(): Promise<void> {
  const MIGRATIONS = "src/data/migrations";
  const dataFile = process.env.TEZGAH_DATA ?? "data/tezgah.db";
  const db = openDatabase(dataFile, MIGRATIONS);
  const made = await createCopies(db, dataFile).make("by hand", new Date(), async (...input) =>
    packCopy(...input),
  );
  db.close();
  if (!made.ok) {
    console.error(made.failure);
    process.exit(1);
  }
  const [newest] = listCopies(dataFile);
  const [target] = process.argv.slice(2);
  if (newest && target) copyFileSync(path.join(findCopiesFolder(dataFile), newest.name), target);
  console.log(`${newest?.name ?? ""}\n${JSON.stringify(made.value, null, 2)}`);
}

void main();
