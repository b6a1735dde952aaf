/** Which way arrows may point. Circles are refused between files everywhere, and between the subjects of the core. */
export default {
  forbidden: [
    {
      name: "no-circles-between-files",
      comment: "Two files that need each other are one thought in two places: move what both need to a third.",
      severity: "error",
      from: {},
      to: { circular: true, dependencyTypesNot: ["type-only"] },
    },
    {
      name: "no-circles-between-subjects",
      comment: "A subject of the core stands on others and never on one that stands on it.",
      severity: "error",
      scope: "folder",
      from: { path: "^core/src/" },
      to: { circular: true },
    },
    {
      name: "subjects-by-their-index",
      comment: "A subject of the core is reached through its index.",
      severity: "error",
      from: { path: "^core/src/([^/]+)/", pathNot: "\\.(test|sample)\\." },
      to: { path: "^core/src/(?!$1/)[^/]+/(?!index\\.ts$)" },
    },
    {
      name: "ground-below-roof",
      comment: "The ground of the interface (web/src/base) knows no subject and no roof.",
      severity: "error",
      from: { path: "^web/src/base/" },
      to: { path: "^web/src/(?!base/|testing/)" },
    },
    {
      name: "nothing-above-the-roof",
      comment: "Only the roof of the interface (web/src/app) knows all subjects; nothing below knows it.",
      severity: "error",
      from: { path: "^web/src/(?!app/)" },
      to: { path: "^web/src/app/" },
    },
    {
      name: "parts-are-shared",
      comment: "Small shared parts know the ground, never a subject.",
      severity: "error",
      from: { path: "^web/src/(parts|document)/", pathNot: "\\.test\\." },
      to: { path: "^web/src/(?!parts/|document/|base/)" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\.(test|sample)\\.tsx?$|/dist/" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.base.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "default"],
      extensions: [".ts", ".tsx", ".mjs", ".js"],
    },
  },
};
