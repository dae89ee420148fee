import Sequencer from "@jest/test-sequencer";

/** Suites of many seconds, the longest first: begun last, each would leave a core idle at the end. */
const LONG = [
  "data/killed",
  "schedule/provenDays",
  "data/budgets",
  "cutting/cuttingPages",
  "piece/formDials",
  "data/groupWriter",
  "schedule/rules",
];

const rank = ({ path }) => {
  const at = LONG.findIndex((name) => path.includes(`${name}.test.`));
  return at < 0 ? LONG.length : at;
};

/** The long ones first, the others as a former run's times or their sizes order them. */
export default class LongFirst extends Sequencer {
  sort(tests) {
    return super.sort(tests).toSorted((a, b) => rank(a) - rank(b));
  }
}
