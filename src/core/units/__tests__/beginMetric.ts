import { metricMeasures, setHouseMeasures } from "..";

// Each suite begins in millimetres and grams, whatever the one before it spoke: suites share the pure rooms.
beforeAll(() => setHouseMeasures(metricMeasures));
