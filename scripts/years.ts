// npm run years -- FILE [YEARS]: the demo world with years of work before it, ten unless said otherwise.
import { writeYears } from "./writeYears";

const [file, years = "10"] = process.argv.slice(2);
if (!file || !(Number(years) > 0))
  throw new Error("Name the data file and how many years: npm run years -- data/years.db 10");
writeYears(file, { years: Number(years), seed: 1 });
console.log(`${years} years are in ${file}.`);
