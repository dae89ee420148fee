// npm run goback: after an upgrade, back to the data as they were before it, for the Tezgah before it. What is there now
// is kept aside, and as lines beside it. Stop Tezgah first.
import { copyFileSync, existsSync, renameSync } from "node:fs";
import Database from "better-sqlite3";
import { writeLines } from "@/data/copyLines";
import { listCopiesBefore } from "@/data/openDatabase";

process.umask(0o077);
const dataFile = process.env.TEZGAH_DATA ?? "data/tezgah.db";
const [before] = listCopiesBefore(dataFile);
if (!before) {
  console.error(`No copy from before an upgrade stands beside ${dataFile}.`);
  process.exit(1);
}
const now = new Date();
const aside = `${dataFile}.aside-${now.toISOString().replaceAll(/[:.]/g, "-")}`;
if (existsSync(dataFile)) {
  const lines = writeLines(dataFile, `${aside}.jsonl`, { madeAt: now.toISOString() });
  if (!lines.ok) console.error(lines.failure);
  for (const suffix of ["", "-wal", "-shm"])
    if (existsSync(dataFile + suffix)) renameSync(dataFile + suffix, aside + suffix);
}
copyFileSync(before, `${dataFile}.half`);
renameSync(`${dataFile}.half`, dataFile);
const db = new Database(dataFile);
const version = Number(db.pragma("user_version", { simple: true }));
// It is another file now: what screens remember of the other one's revisions says nothing about it.
if (db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'file_mark'").get())
  db.exec("UPDATE file_mark SET epoch = lower(hex(randomblob(8)))");
db.close();
console.log(
  `${before} is in place, of version ${version}: start the Tezgah before the upgrade. What was there is kept as ${aside}, and as lines in ${aside}.jsonl.`,
);
