/** Tasks to start from, in the words of a few trades: typical answers to be corrected at the bench, not measurements. */
import type { Effort, Task } from "./task";

type StarterEffort = Omit<Effort, "id">;
export type TaskStarter = Omit<Task, "id" | "efforts"> & { efforts: readonly StarterEffort[] };

const effort = (
  name: string,
  hands: Effort["hands"],
  figures: readonly [effort: number, perMin: number, secEach: number],
  wrist: Partial<StarterEffort> = {},
): StarterEffort => ({
  name,
  hands,
  effort: figures[0],
  perMin: figures[1],
  secEach: figures[2],
  flexionDeg: 0,
  tiltDeg: 0,
  turn: "neutral",
  grip: "power",
  ...wrist,
});
const task = (name: string, tool: string | null, efforts: readonly StarterEffort[], rest: Partial<TaskStarter> = {}): TaskStarter => ({
  name,
  tool,
  vibration: "none",
  cold: false,
  reach: false,
  ...rest,
  efforts,
});

export const TASK_STARTERS: readonly TaskStarter[] = [
  task("Stapling", "staple lever", [
    effort("squeeze the lever", "right", [4, 14, 1], { flexionDeg: 15, turn: "palmDown" }),
    effort("hold the cloth tight", "left", [3, 10, 3], { grip: "pinch", turn: "palmDown" }),
  ]),
  task("Stretching webbing", "web strainer", [
    effort("lever the strainer down", "both", [6, 3, 4], { flexionDeg: -20, grip: "palmPush", turn: "palmDown" }),
  ]),
  task("Hand sewing", "curved needle", [
    effort("push and pull the needle", "right", [3, 12, 1.5], { grip: "pinch", flexionDeg: 25 }),
    effort("hold the seam", "left", [2, 6, 5], { grip: "pinch" }),
  ]),
  task("Cutting cloth", "shears", [effort("close the shears", "right", [3, 18, 1], { flexionDeg: -10, turn: "neutral", tiltDeg: 15 })]),
  task(
    "Splitting slate",
    "slate hammer",
    [effort("strike", "right", [4, 16, 0.6], { tiltDeg: 20 }), effort("hold the slate", "left", [3, 8, 5], { grip: "pinch" })],
    { vibration: "some" },
  ),
  task(
    "Nailing slates",
    "hammer",
    [
      effort("strike the nail", "right", [4, 20, 0.5], { tiltDeg: 20, turn: "palmDown" }),
      effort("hold nail and slate", "left", [3, 8, 4], { grip: "pinch", flexionDeg: 20 }),
    ],
    { vibration: "some", reach: true },
  ),
  task("Carrying slates", null, [effort("carry the stack", "both", [6, 1, 30], { grip: "hook", turn: "palmUp" })]),
  task(
    "Shucking",
    "shucking knife",
    [
      effort("push and twist the knife", "right", [5, 10, 2], { grip: "power", flexionDeg: 20, turn: "palmDown" }),
      effort("hold the shell", "left", [4, 9, 4], { grip: "power", flexionDeg: -30 }),
    ],
    { cold: true },
  ),
  task("Sorting shells", null, [effort("pick and place", "both", [2, 24, 0.8], { grip: "pinch", turn: "palmDown" })], { cold: true }),
  task("Deep strokes with the thumbs", null, [
    effort("press and glide", "both", [4, 12, 3], { grip: "thumbPress", flexionDeg: -30, turn: "palmDown" }),
  ]),
  task("Kneading", null, [effort("gather and squeeze", "both", [3, 20, 1.5], { grip: "power", flexionDeg: 10, turn: "palmDown" })]),
  task("Leaning in with the palm", null, [effort("lean in", "both", [4, 6, 6], { grip: "palmPush", flexionDeg: -60, turn: "palmDown" })]),
];
