// Migrates a file by a migration that takes a while, to be killed in the middle. For tests: node FILE MIGRATIONS.
import { openDatabase } from "@/data/openDatabase";

const [file = "", migrations = ""] = process.argv.slice(2);
process.stdout.write("begun\n");
openDatabase(file, migrations).close();
process.stdout.write("done\n");
