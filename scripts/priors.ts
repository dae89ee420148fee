// npm run priors: writes docs/priors.md, every figure of the craft that the core takes for granted, from the code itself.
import { writeFileSync } from "node:fs";
import { listPriors, writePriors } from "./listPriors";

writeFileSync("docs/priors.md", writePriors(listPriors("src/core")));
