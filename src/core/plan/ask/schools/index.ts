import { bakeSchool, sugarSchool, tinSchool, washSchool } from "./bakeSchools";
import { fillSchool, glueSchool, topSchool, ventSchool } from "./closingSchools";
import { blanksSchool, liquidSchool, restSchool, trimSchool } from "./doughSchools";
import type { School, SchoolFacts } from "./school";

export type { School, SchoolFacts, SchoolOption } from "./school";

/** Every question of the craft that this piece raises. */
export function listSchools(facts: SchoolFacts): School[] {
  return [
    blanksSchool(facts),
    liquidSchool(facts),
    restSchool(facts),
    ...(facts.formed && facts.formed.seamMm > 0 ? [glueSchool(facts)] : []),
    ...fillSchool(facts),
    bakeSchool(facts),
    washSchool(facts),
    sugarSchool(facts),
    tinSchool(facts),
    trimSchool(facts),
    ...topSchool(facts),
    ventSchool(facts),
  ];
}
