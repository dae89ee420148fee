// npm run backup [-- FILE]: a copy of the data file, into its folder of copies, or to FILE as well; as JSON Lines if FILE
// ends in .jsonl; sealed with the passphrase in TEZGAH_COPY_PASSPHRASE if it is set.
import { copyFileSync, rmSync } from "node:fs";
import path from "node:path";
import { createCopies, findCopiesFolder, listCopies } from "@/data/copies";
import { packCopy } from "@/data/copyFile";
import { writeLines } from "@/data/copyLines";
import { openDatabase } from "@/data/openDatabase";
import { makeSealKey, sealFile } from "@/data/seal";

const MIGRATIONS = "src/data/migrations";
process.umask(0o077);
const dataFile = process.env.TEZGAH_DATA ?? "data/tezgah.db";

async function main(): Promise<void> {
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
  if (newest && target) writeTarget(target, path.join(findCopiesFolder(dataFile), newest.name));
  console.log(`${newest?.name ?? ""}\n${JSON.stringify(made.value, null, 2)}`);
}

function writeTarget(target: string, copy: string): void {
  const passphrase = process.env.TEZGAH_COPY_PASSPHRASE ?? "";
  const plain = passphrase === "" ? target : `${target}.plain`;
  if (target.endsWith(".jsonl")) {
    const written = writeLines(dataFile, plain, { madeAt: new Date().toISOString() });
    if (!written.ok) throw new Error(written.failure);
  } else copyFileSync(copy, plain);
  if (passphrase === "") return;
  sealFile(plain, target, makeSealKey(passphrase));
  rmSync(plain);
}

void main();
