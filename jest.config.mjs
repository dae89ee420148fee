import nextJest from "next/jest.js";

/** @type {import("jest").Config} */
const config = {
  testEnvironment: "node",
  testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1" },
};

export default nextJest({ dir: "./" })(config);
