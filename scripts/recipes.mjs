/**
 * Does each recipe of CONTRIBUTING on a copy of the tree and runs the checks that have to pass afterwards: types of every part, and the
 * tests of what was touched. `npm run recipes [-- name …]`. A recipe that no longer fits fails at the first edit that finds nothing.
 */
import { execFileSync, spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

const WORKSPACES = ["core", "server", "web", "stand-ins", "e2e"];
const root = process.cwd();

/** A copy of what is under version control, sharing the installed packages but with workspaces of its own. */
function copyOfTree() {
  const copy = mkdtempSync(path.join(tmpdir(), "kind-grip-recipe-"));
  const files = execFileSync("git", ["ls-files", "-z", "--cached", "--others", "--exclude-standard"], { encoding: "utf8" });
  for (const file of files.split("\0").filter((each) => each && existsSync(each))) cpSync(file, path.join(copy, file));
  const modules = path.join(copy, "node_modules");
  mkdirSync(path.join(modules, "@kind-grip"), { recursive: true });
  for (const name of readdirSync("node_modules"))
    if (name !== "@kind-grip") symlinkSync(path.join(root, "node_modules", name), path.join(modules, name));
  for (const workspace of WORKSPACES) {
    symlinkSync(path.join(copy, workspace), path.join(modules, "@kind-grip", workspace));
    const own = path.join(root, workspace, "node_modules");
    if (existsSync(own)) symlinkSync(own, path.join(copy, workspace, "node_modules"));
  }
  return copy;
}

function toolsFor(copy) {
  const at = (file) => path.join(copy, file);
  const read = (file) => readFileSync(at(file), "utf8");
  return {
    /** Replaces a text that has to be there, once. */
    edit(file, ...changes) {
      let text = read(file);
      for (const [before, after] of changes) {
        if (text.split(before).length !== 2) throw new Error(`${file}: "${before}" is there ${text.split(before).length - 1} times`);
        text = text.replace(before, () => after);
      }
      writeFileSync(at(file), text);
    },
    /** In every file of a folder that has it. */
    everywhere(folders, pattern, after) {
      const files = execFileSync("git", ["ls-files", ...folders], { encoding: "utf8" }).split("\n");
      for (const file of files.filter((each) => /\.tsx?$/.test(each))) {
        const text = read(file);
        if (text.search(pattern) >= 0) writeFileSync(at(file), text.replace(pattern, after));
      }
    },
    write: (file, text) => writeFileSync(at(file), text),
    copyFolder: (from, to) => cpSync(at(from), at(to), { recursive: true }),
  };
}

/** Keeps the shape of every stored document: a new format is written there first. */
const FORMATS = "server/src/db/formats";

/** Name as in CONTRIBUTING → what is done, and which tests have to pass. */
const RECIPES = {
  movement: {
    tests: ["core/src/library", "core/src/language"],
    do({ edit }) {
      edit("core/src/library/movements/mobility.ts", [
        "export const mobility = [",
        `export const mobility = [
  {
    ...shared,
    id: "wrist-wave",
    regions: { worked: ["wristFlexors", "wristExtensors"] },
    motions: ["wrist flexion", "wrist extension"],
    sideModes: ["together", "inTurn"],
    forms: [{ id: "free" }],
    startForm: "free",
    doses: { usual: reps(6, [2, 0, 2, 0]) },
    readySec: 3,
    switchSec: 3,
    reverses: ["wristBent"],
  },`,
      ]);
      edit("core/src/library/figures/mobility.ts", [
        '  "curl-palm-up": {',
        '  "wrist-wave": { figure: nod(free), wrong: { pose: { right: atSide({ pronation: 20, wristFlexion: 58, hand: "softFist" }) }, watch: 0 } },\n  "curl-palm-up": {',
      ]);
      edit("core/src/language/en/movements/mobility.ts", [
        "export const mobility = {",
        `export const mobility = {
  "wrist-wave": {
    name: "Wrist wave",
    steps: ["Let the hand sink.", "Wave it up."],
    feel: "Light movement in the wrist.",
    watch: ["The forearm stays where it is."],
    care: [],
    forms: { free: "Free arm" },
  },`,
      ]);
    },
  },
  language: {
    tests: ["core/src/language"],
    do({ edit, copyFolder, write }) {
      copyFolder("core/src/language/en", "core/src/language/de");
      edit("core/src/language/de/safety.ts", ['short: "Fresh injury"', 'short: "Frische Verletzung"']);
      edit("core/src/language/de/labels.ts", ['preShift: "Pre-shift"', 'preShift: "Vor der Schicht"']);
      edit("core/src/language/de/index.ts", ["export const en =", "export const de ="]);
      edit(
        "core/src/language/index.ts",
        ['import { en } from "./en";', 'import { de } from "./de";\nimport { en } from "./en";'],
        ["{ en: { translation: en } }", "{ en: { translation: en }, de: { translation: de } }"],
      );
      write(
        "core/src/language/de/de.test.ts",
        `import { wordsIn } from "..";
it("is read in its own words", () => {
  expect(wordsIn("de").safety("freshInjury").short).toBe("Frische Verletzung");
  expect(wordsIn("de").label("slot", "preShift")).toBe("Vor der Schicht");
  expect(wordsIn("en").label("slot", "preShift")).toBe("Pre-shift");
});
`,
      );
    },
  },
  "safety rule": {
    tests: ["core/src/safety", "core/src/baseline", FORMATS],
    do({ edit, write }) {
      edit(
        "core/src/safety/questions.ts",
        ['  "hypermobility",\n] as const', '  "hypermobility",\n  "brokenSkin",\n] as const'],
        [
          '  { id: "hypermobility", kind: "limit", shortOfEndDeg: SHORT_OF_END_DEG },\n',
          '  { id: "hypermobility", kind: "limit", shortOfEndDeg: SHORT_OF_END_DEG },\n  { id: "brokenSkin", kind: "ask", outOf: { kit: ["edge", "roller", "tape"] } },\n',
        ],
      );
      edit("core/src/language/en/safety.ts", [
        "  sharpPain: {",
        '  brokenSkin: { ask: "Broken skin on hand or forearm?", short: "Broken skin" },\n  sharpPain: {',
      ]);
      edit(
        "core/src/baseline/record.ts",
        ["format: 3,", "format: 4,"],
        ["steps: [withTodaysQuestions, withStandardMotions]", "steps: [withTodaysQuestions, withStandardMotions, (record) => record]"],
      );
      write(
        "core/src/safety/broken-skin.test.ts",
        `import { SHIPPED_LIBRARY } from "../library";
import { participationOf, refusalOf, type Restriction } from ".";
const hold: Restriction = { id: "h", personId: "p", question: "brokenSkin", since: "2026-03-02T08:00:00.000Z", withdrawnAt: null };
const refusedAt = (instant: string) => {
  const participation = participationOf([hold], [], [], { instant, day: "2026-03-02" });
  return SHIPPED_LIBRARY.movements.filter(({ id }) => refusalOf(SHIPPED_LIBRARY, participation, id)).map(({ kit }) => kit.join());
};
it("keeps what is rubbed or stuck on away from broken skin, from the moment it was said", () => {
  expect(refusedAt("2026-03-02T07:59:59.999Z")).toEqual([]);
  const refused = refusedAt("2026-03-02T08:00:00.000Z");
  expect(refused.length).toBeGreaterThan(0);
  expect(refused.filter((kit) => !/edge|roller|tape/.test(kit))).toEqual([]);
});
`,
      );
    },
  },
  measurement: {
    tests: ["core/src/baseline", FORMATS],
    do({ edit }) {
      edit(
        "core/src/baseline/motions.ts",
        ['"elbowBend"] as const', '"elbowBend", "shoulderLift"] as const'],
        [
          '  elbowBend: { referenceDeg: 150, stretches: "elbowOuter", movedBy: "elbowInner" },\n',
          '  elbowBend: { referenceDeg: 150, stretches: "elbowOuter", movedBy: "elbowInner" },\n  shoulderLift: { referenceDeg: 180, stretches: "shoulderNeck", movedBy: "shoulderNeck" },\n',
        ],
      );
      edit("web/src/baseline/finding-text.ts", [
        '  elbowBend: t("Elbow bends"),\n',
        '  elbowBend: t("Elbow bends"),\n  shoulderLift: t("Arm lifts forward"),\n',
      ]);
      edit(
        "core/src/baseline/record.ts",
        ["format: 3,", "format: 4,"],
        ["steps: [withTodaysQuestions, withStandardMotions]", "steps: [withTodaysQuestions, withStandardMotions, (record) => record]"],
      );
      edit("web/src/baseline/motion-pictures.ts", [
        '  elbowBend: [{ elbow: 140, pronation: 10, hand: "softFist" }, { focus: "arm" }],\n',
        '  elbowBend: [{ elbow: 140, pronation: 10, hand: "softFist" }, { focus: "arm" }],\n  shoulderLift: [{ shoulderFlexion: 160, elbow: 5, hand: "together" }, { focus: "arm" }],\n',
      ]);
      edit("core/src/baseline/baseline.test.ts", ["[80, 70, 20, 30, 80, 80, 150]", "[80, 70, 20, 30, 80, 80, 150, 180]"]);
    },
  },
  "session kind": {
    tests: ["core/src/session", "core/src/compose", "core/src/dayplan", "core/src/crew", "core/src/program", FORMATS],
    do({ edit, everywhere }) {
      edit("core/src/session/item.ts", [
        '["preShift", "break", "postShift"] as const',
        '["preShift", "break", "postShift", "midShift"] as const',
      ]);
      edit("core/src/language/en/labels.ts", ['postShift: "Post-shift" }', 'postShift: "Post-shift", midShift: "Mid-shift" }']);
      edit("web/src/program/session-names.ts", [
        '  postShift: t("After the shift"),\n',
        '  postShift: t("After the shift"),\n  midShift: t("Half-way"),\n',
      ]);
      edit("core/src/compose/candidates.ts", [
        '  postShift: ["getReady", "mobility", "stretch", "strengthen", "release"],\n',
        '  postShift: ["getReady", "mobility", "stretch", "strengthen", "release"],\n  midShift: ["mobility", "stretch", "glide"],\n',
      ]);
      edit("core/src/dayplan/day-problem.ts", ["break: 90, postShift: 60 };", "break: 90, postShift: 60, midShift: 90 };"]);
      edit("core/src/dayplan/clashes.ts", ['      case "break": {', '      case "break":\n      case "midShift": {']);
      edit("core/src/dayplan/suggest.ts", ['    case "break": {', '    case "break":\n    case "midShift": {']);
      edit("core/src/crew/crew.ts", [
        'name: "crew", format: 1, steps: []',
        'name: "crew", format: 2, steps: [(crew) => ({ ...(crew as object), slots: Object.assign({ midShift: 180 }, (crew as Crew).slots) })]',
      ]);
      edit("server/src/demo/load.ts", ["postShift: 1.6 }", "postShift: 1.6, midShift: 0 }"]);
      edit("core/bench/compose.ts", ["postShift: whole(5, 14) * 60 }", "postShift: whole(5, 14) * 60, midShift: 0 }"]);
      everywhere(["core/src/compose"], /(postShift: [^,}]*[^,} ])( \})/g, "$1, midShift: 0$2");
      everywhere(["core", "server", "web"], /(postShift: \d+)( \})/g, "$1, midShift: 180$2");
    },
  },
  role: {
    tests: [],
    apiTests: ["auth/roles"],
    do({ edit }) {
      edit("core/src/api/auth.ts", ['["lead", "employer"] as const', '["lead", "employer", "nurse"] as const']);
      edit(
        "web/src/practice/Staff.tsx",
        ['employer: t("Employer contact") };', 'employer: t("Employer contact"), nurse: t("Company nurse") };'],
        ['never a person."),\n};', 'never a person."),\n  nurse: t("Sees who cannot do what, without reasons."),\n};'],
      );
      edit("server/src/safety/routes.ts", [
        'answer: v.array(ParticipationEntry),\n    roles: ["trainer", "lead"],',
        'answer: v.array(ParticipationEntry),\n    roles: ["trainer", "lead", "nurse"],',
      ]);
      edit(
        "server/src/auth/roles.api.test.ts",
        [
          "  employer: [\n",
          `  nurse: [
    "delete /api/me/passkeys/:passkeyId",
    "delete /api/me/sessions/:sessionId",
    "get /api/crews",
    "get /api/crews/:crewId/participation",
    "get /api/me/passkeys",
    "get /api/me/second-factor",
    "get /api/me/sessions",
    "post /api/me/passkeys",
    "post /api/me/passkeys/question",
    "post /api/me/second-factor",
    "post /api/me/second-factor/end",
    "put /api/me/password",
    "put /api/me/second-factor",
  ],
  employer: [\n`,
        ],
        [
          '    employer: await trainer.staff(test, "employer", [own.crewId]),',
          '    employer: await trainer.staff(test, "employer", [own.crewId]),\n    nurse: await trainer.staff(test, "nurse", [own.crewId]),',
        ],
        ['describe.each(["lead", "employer", "member"] as const)', 'describe.each(["lead", "employer", "nurse", "member"] as const)'],
      );
    },
  },
};

function checksOf({ tests, apiTests = [] }) {
  const jest = (project, patterns, ...more) => ["node", ["scripts/jest.mjs", project, "--testPathPatterns", patterns.join("|"), ...more]];
  return [
    ["node", ["scripts/typecheck.mjs"]],
    ...(tests.includes(FORMATS) ? [jest("unit", [FORMATS], "-u")] : []),
    ...(tests.length > 0 ? [jest("unit", tests, "--ci=false")] : []),
    ...(apiTests.length > 0 ? [jest("api", apiTests)] : []),
  ];
}

const asked = process.argv.slice(2);
const failed = [];
for (const [name, recipe] of Object.entries(RECIPES).filter(([each]) => asked.length === 0 || asked.includes(each))) {
  process.stdout.write(`${name}: `);
  const copy = copyOfTree();
  try {
    recipe.do(toolsFor(copy));
    for (const [command, args] of checksOf(recipe)) {
      const { status, stdout, stderr } = spawnSync(command, args, { cwd: copy, encoding: "utf8" });
      if (status !== 0) throw new Error(`${args.join(" ")}\n${stdout}${stderr}`);
    }
    process.stdout.write("done, and the checks pass\n");
  } catch (error) {
    failed.push(name);
    process.stdout.write(`failed\n${error.message}\n`);
  } finally {
    rmSync(copy, { recursive: true, force: true });
  }
}
process.exit(failed.length === 0 ? 0 : 1);
