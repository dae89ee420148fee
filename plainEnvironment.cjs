// Where the tests of what needs no screen run: in Node's own global scope. The usual one lies behind a virtual machine's,
// in which each look at Math or at an array's constructor goes through an interceptor: the engines ran a fifth as fast.
// What a test puts on the global scope it takes away again.
const vm = require("node:vm");
const { ModernFakeTimers } = require("@jest/fake-timers");
const { ModuleMocker } = require("jest-mock");

/** Stands for the scope that is there anyway: what is compiled for it is compiled for this one. */
const here = vm.createContext({});
const { compileFunction } = vm;
vm.compileFunction = (code, parameters, { parsingContext, ...options } = {}) =>
  compileFunction(code, parameters, parsingContext === here ? options : { ...options, parsingContext });

module.exports = class PlainEnvironment {
  global = globalThis;
  moduleMocker = new ModuleMocker(globalThis);
  fakeTimers = null;

  constructor({ projectConfig }) {
    this.fakeTimersModern = new ModernFakeTimers({ config: projectConfig, global: globalThis });
  }

  async setup() {}

  async teardown() {
    this.fakeTimersModern.dispose();
  }

  exportConditions() {
    return ["node", "node-addons"];
  }

  getVmContext() {
    return here;
  }
};
