/** The arrows of the house: app → ui, server → core; ui → workers → core; cli → core. Each core room is entered by its index only. */
const room = (path) => `^${path}/`;
const forbid = (name, from, to, comment) => ({ name, severity: "error", comment, from, to });

module.exports = {
  forbidden: [
    forbid(
      "core-is-pure",
      { path: room("core"), pathNot: "\\.test\\.ts$" },
      { path: ["^(app|ui|server|workers|cli|demo|bench|print)/", "^node_modules/(react|next|antd|sequelize|sqlite3|zustand)"] },
      "The core knows nothing of screens, servers or files.",
    ),
    forbid(
      "core-has-no-node",
      { path: room("core"), pathNot: "\\.test\\.ts$" },
      { dependencyTypes: ["core"] },
      "The core uses no Node API.",
    ),
    forbid(
      "core-doors",
      { path: "^core/([^/]+)/" },
      { path: "^core/([^/]+)/", pathNot: ["^core/$1/", "^core/[^/]+/index\\.ts$"] },
      "Another core room is entered by its index.",
    ),
    forbid(
      "planner-doors",
      { path: "^core/plan/wiring/([^/]+)/", pathNot: ["\\.test\\.ts$", "/under-test/"] },
      { path: "^core/plan/wiring/([^/]+)/", pathNot: ["^core/plan/wiring/$1/", "^core/plan/wiring/[^/]+/index\\.ts$"] },
      "A room of the planner is entered by its index.",
    ),
    forbid(
      "doors-from-outside",
      { path: "^(app|ui|server|workers|cli|demo|bench)/" },
      { path: "^core/[^/]+/", pathNot: "^core/[^/]+/index\\.ts$" },
      "A core room is entered by its index.",
    ),
    forbid(
      "server-door",
      { path: "^app/" },
      { path: room("server"), pathNot: "^server/index\\.ts$" },
      "The server is entered by its index.",
    ),
    forbid("ui-away-from-server", { path: "^(ui|workers|cli)/" }, { path: room("server") }, "Only routes touch the server."),
    forbid("workers-only-core", { path: room("workers") }, { path: "^(app|ui|server|cli)/" }, "Workers expose the core and nothing else."),
    forbid("server-no-ui", { path: "^(server|cli)/" }, { path: "^(app|ui|workers)/" }, "The server and the command line draw nothing."),
    forbid("ui-no-app", { path: room("ui") }, { path: room("app") }, "Pages use the interface, not the other way round."),
    forbid("antd-in-ui", { path: "^(server|cli|core|workers)/" }, { path: "^node_modules/antd" }, "Ant Design stays in the interface."),
    forbid(
      "print-only-core",
      { path: room("print") },
      { path: "^(app|ui|server|workers|cli)/" },
      "Print turns drawings of the core into files and knows nothing else.",
    ),
    forbid("print-away-from-ui", { path: "^(ui|workers)/" }, { path: room("print") }, "A browser asks the server for a PDF."),
    forbid("no-circles", {}, { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } }, "No circles of modules."),
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^\\.next" },
  },
};
