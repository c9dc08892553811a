/** Which room may import from which: app → operations → db → core, app → ui → core, app → jobs → operations, demo → operations. */
const onlyTo = (room, allowed, comment) => ({
  name: `${room}-imports`,
  comment,
  severity: "error",
  from: { path: `^src/${room}/`, pathNot: "(\\.test\\.tsx?$|/tests/)" },
  to: {
    path: "^(src|demo|scripts|e2e)/",
    pathNot: [`^src/(${[`${room}/`, ...allowed].join("|")})`, ...(allowed.includes("../demo/") ? ["^demo/"] : [])],
  },
});
/** Days and wall times of a place: the one converter, beside the rooms that stand with a foot in the outside world. */
const ZONES = "zones\\.ts";

/** The rooms of core, from the tables up: each may import from those before it, never from those after. */
const levels = [
  ["shared/"],
  ["units/", "access/", "climate/"],
  ["knowledge/"],
  ["model/"],
  ["acts/"],
  ["record/"],
  ["advice/"],
  ["schedule/"],
];
const coreLevels = levels.slice(0, -1).map((rooms, i) => ({
  name: `core-level-${i}`,
  comment: `In core ${rooms.join(", ")} know nothing of what is built on them.`,
  severity: "error",
  from: { path: `^src/core/(${rooms.join("|")})`, pathNot: "(\\.test\\.ts$|/tests/)" },
  to: {
    path: `^src/core/(${levels
      .slice(i + 1)
      .flat()
      .join("|")})`,
  },
}));

module.exports = {
  forbidden: [
    onlyTo("core", [], "The core knows nothing of the rooms around it."),
    ...coreLevels,
    {
      name: "facts-know-tables",
      comment: "The shapes of facts name what stands in tables; they reckon nothing.",
      severity: "error",
      from: { path: "^src/core/record/facts/", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/model/(clearance|population|carriage)/" },
    },
    onlyTo("wording", ["core/"], "Wording turns the core's codes into sentences."),
    onlyTo("db", ["core/", ZONES], "Stores return core types."),
    onlyTo("operations", ["core/", "db/", ZONES], "Operations ask stores and core; words are for the screen."),
    onlyTo("offline", ["core/"], "What the browser keeps and sends needs no page."),
    onlyTo("ui", ["core/", "offline/", "wording/", "workers/", ZONES], "Shared parts have no data access."),
    onlyTo(
      "app",
      ["core/", "offline/", "operations/", "jobs/", "ui/", "wording/", "clock\\.ts", "env\\.ts", ZONES, "../demo/"],
      "Routes never reach past the operations.",
    ),
    onlyTo("jobs", ["operations/", "clock\\.ts", "env\\.ts"], "Jobs are operations that nobody waits for."),
    onlyTo("workers", ["core/", "imaging/"], "Workers are thin doors to core."),
    onlyTo("imaging", ["core/"], "Pictures are measured here; what is made of it is core's."),
    onlyTo("cli", ["core/", "wording/", "clock\\.ts"], "The command is a thin door to core."),
    {
      name: "core-packages",
      comment: "Core imports only core and zod.",
      severity: "error",
      from: { path: "^src/core/", pathNot: "(\\.test\\.ts$|/tests/)" },
      to: { dependencyTypes: ["npm", "npm-dev", "core"], pathNot: "node_modules/zod/" },
    },
    {
      name: "sequelize-in-db",
      comment: "All of Sequelize and SQL is in db.",
      severity: "error",
      from: { path: "^src/(app|ui|wording|core)/" },
      to: { path: "node_modules/(sequelize|pg|umzug)/" },
    },
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "no-orphans",
      severity: "error",
      from: { orphan: true, path: "^src/", pathNot: "(migrations|app)/" },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "types", "default"] },
  },
};
