// npm run restore: lists the copies. npm run restore -- NAME|FILE: shows what it holds. With --lay-back as well: lays it
// back; what was there is kept aside. A sealed one wants its passphrase in TEZGAH_COPY_PASSPHRASE. Stop Tezgah first.
import { randomUUID } from "node:crypto";
import { existsSync } from "node:fs";
import { findCopy, findRestoringFile, listCopies, putInPlace, removeData } from "@/data/copies";
import { hashFile } from "@/data/copyFile";
import { openCopy } from "@/data/openCopy";
import { findNewestVersion } from "@/data/openDatabase";

process.umask(0o077);
const dataFile = process.env.TEZGAH_DATA ?? "data/tezgah.db";
const [wanted, sure] = process.argv.slice(2);
if (!wanted) {
  for (const { name, bytes } of listCopies(dataFile)) console.log(`${name}  ${bytes} bytes`);
  console.log("Name one to see what it holds: npm run restore -- NAME");
} else {
  const copy = existsSync(wanted) ? wanted : findCopy(dataFile, wanted);
  if (copy === null) stop(`There is no copy “${wanted}”. npm run restore lists them.`);
  const restoring = findRestoringFile(dataFile, randomUUID());
  const unpacked = openCopy(
    copy,
    restoring,
    "src/data/migrations",
    process.env.TEZGAH_COPY_PASSPHRASE ?? null,
  );
  if (!unpacked.ok) stop(unpacked.failure);
  console.log(JSON.stringify(unpacked.value, null, 2));
  if (sure !== "--lay-back") {
    removeData(restoring);
    console.log(`To lay it back: npm run restore -- ${wanted} --lay-back`);
  } else {
    const placed = putInPlace(
      dataFile,
      { file: restoring, manifest: unpacked.value, sha256: hashFile(restoring) },
      findNewestVersion("src/data/migrations"),
      new Date(),
    );
    if (!placed.ok) stop(placed.failure);
    console.log(placed.value === null ? "In place." : `In place. What was there is kept as ${placed.value}`);
  }
}

function stop(message: string): never {
  console.error(message);
  process.exit(1);
}
