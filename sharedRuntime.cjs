// What a unit test's imports are read by. Of the suites in Node's own scope the pure rooms and the packages are read once
// by each of the runner's processes: read anew for each suite, and run cold, they took more than half of the time of the
// core's tests. All else, and all that is drawn, is still a suite's own. What a suite changes in them it takes back.
const { default: Runtime } = require("jest-runtime");

/** Rooms without a file, a clock or a connection: what little they remember is what would be worked out again. */
const PURE_ROOMS = /\/src\/(core|demo|formats|schemas|time)\/(?!.*(\.test\.|\/__tests__\/))/;
const PACKAGES = /\/node_modules\/.*(?<!\.node)$/;

/** The one that the shared modules are read by: the first of its process. */
let shared = null;

module.exports = class SharedRuntime extends Runtime {
  constructor(config, environment, ...rest) {
    super(config, environment, ...rest);
    // A mutation run and a browser's page have scopes of their own; who watches wants what he has just changed.
    const { watch, watchAll } = rest.at(-1);
    this.isShared = environment.isNodesScope === true && !watch && !watchAll;
    if (this.isShared) shared ??= new Runtime(config, environment, ...rest);
  }

  requireModule(from, name, options, isActual) {
    if (this.isShared && name && !options && !this._resolution.isCoreModule(name)) {
      const path = this._resolution.resolveCjs(from, name);
      if (PURE_ROOMS.test(path) || PACKAGES.test(path)) return shared.requireModule(path);
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
