import configure from "./jest.config.mjs";

/** The tests of the small rooms alone, in the environment that a mutation run knows how to watch. */
export default async function configureMutation() {
  return {
    ...(await configure()),
    testEnvironment: "@stryker-mutator/jest-runner/jest-env/node",
    testMatch: ["<rootDir>/src/core/{units,readings,loading,habits}/*.test.ts"],
    testPathIgnorePatterns: ["holdHabit", "pastLog", "figureHabit"],
  };
}
