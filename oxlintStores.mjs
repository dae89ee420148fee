// A component that takes all of a store is drawn anew by every turn of a dial anywhere: the rule that says so.

const OF_A_STORE = new Set(["useStore", "useBench", "useBenchShell"]);

/** Says a read of a store that names nothing of it. */
const nameWhatIsRead = {
  create: (context) => ({
    CallExpression(call) {
      if (call.callee.type !== "Identifier" || !OF_A_STORE.has(call.callee.name)) return;
      if (call.callee.name === "useStore" && call.arguments.length === 1)
        context.report({ node: call, message: "Name what is read of the store: a selector." });
      const gives = (each) => each.type === "ArrowFunctionExpression" && each.body.type === "Identifier";
      if (call.arguments.some(gives))
        context.report({ node: call, message: "A selector that gives the whole store selects nothing." });
    },
  }),
};

const stores = { meta: { name: "stores" }, rules: { "name-what-is-read": nameWhatIsRead } };
export default stores;
