// npm start: the baker's own data.
import { buildApplication, installPackages, startApplication } from "./house.mjs";

await installPackages();
buildApplication();
startApplication(process.env.TEZGAH_DATA ?? "data/tezgah.db", Number(process.env.PORT ?? 3000));
