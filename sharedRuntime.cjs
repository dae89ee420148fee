// What a unit test's imports are read by. The pure rooms are read once by each of the runner's processes, in Node's own
// scope, and so are the packages of suites that run there: read anew for each suite, and run cold, they took more than half
// of the time of the core's tests, and a quarter of the drawn ones', whose scope runs them a fifth as fast. All else is a
// suite's own. What a suite changes in them it takes back.
const { readFileSync } = require("node:fs");
const { default: Runtime } = require("jest-runtime");
const PlainEnvironment = require("./plainEnvironment.cjs");

/** Rooms without a file, a clock or a connection: what little they remember is what would be worked out again. */
const PURE_ROOMS = /\/src\/(core|demo|formats|schemas|time)\/(?!.*(\.test\.|\/__tests__\/))/;
const PACKAGES = /\/node_modules\/.*(?<!\.node)$/;
/**
 * Said in the head of a suite that reads all anew: its screen compares what two scopes have made, and a comparison that asks
 * for an object's maker takes them for different for ever.
 */
const OWN_ROOMS = /^\/\*\*[^/]*@own-rooms/;

/** The one that the shared modules are read by: one a process. */
let shared = null;

module.exports = class SharedRuntime extends Runtime {
  constructor(config, environment, ...rest) {
    const [path, globalConfig] = rest.slice(-2);
    const readsAnew = OWN_ROOMS.test(readFileSync(path, "utf8"));
    super(config, environment, ...rest);
    this.isPlain = environment instanceof PlainEnvironment;
    // Who watches wants what he has just changed. A mutation run has scopes of its own.
    const { watch, watchAll } = globalConfig;
    const isKnown = this.isPlain || config.testEnvironment.endsWith("plainEnvironment.cjs");
    this.isShared = isKnown && !watch && !watchAll && !readsAnew;
    if (!this.isShared) return;
    const here = this.isPlain ? environment : new PlainEnvironment({ projectConfig: config });
    shared ??= new Runtime(config, here, ...rest);
  }

  requireModule(from, name, options, isActual) {
    if (this.isShared && name && !options && !this._resolution.isCoreModule(name)) {
      const path = this._resolution.resolveCjs(from, name);
      if (PURE_ROOMS.test(path) || (this.isPlain && PACKAGES.test(path))) return shared.requireModule(path);
    }
    return super.requireModule(from, name, options, isActual);
  }

  /** Where a failure's lines stand in the source: of the shared modules as well. */
  getSourceMaps() {
    const own = super.getSourceMaps();
    if (!this.isShared) return own;
    const all = shared.getSourceMaps();
    return {
      get: (file) => own.get(file) ?? all.get(file),
      *[Symbol.iterator]() {
        yield* own;
        yield* all;
      },
    };
  }
};
