/** Answers about the work that cannot all be true at once, each named at its field. */
import { HAND_SIDES } from "../units";
import { MOST_HOURS } from "./combined";
import { effortsOf, type Work } from "./task";

export interface WorkProblem {
  /** Dotted path, e.g. `tasks.0.efforts.1.secEach`. */
  path: string;
  message: string;
}

/** A minute holds sixty seconds of effort of one hand, and no more. */
export const SECONDS_IN_A_MINUTE = 60;

/** Rounding of typed figures (7.1 a minute of 8.45 s) is no contradiction. */
const SLACK = 1e-6;

/** @param shiftMin working minutes of the crew's longest shift, breaks left out; null when there is none to compare with */
export function workProblems(work: Work, shiftMin: number | null): WorkProblem[] {
  const problems: WorkProblem[] = [];
  const seen = new Set<string>();
  const once = (id: string, path: string) => {
    if (seen.has(id)) problems.push({ path, message: "this id is used twice" });
    seen.add(id);
  };
  work.tasks.forEach((task, t) => {
    once(task.id, `tasks.${t}.id`);
    let overlaps = false;
    task.efforts.forEach(({ id, perMin, secEach }, e) => {
      once(id, `tasks.${t}.efforts.${e}.id`);
      const busySec = perMin * secEach;
      if (busySec <= SECONDS_IN_A_MINUTE + SLACK) return;
      overlaps = true;
      problems.push({
        path: `tasks.${t}.efforts.${e}.secEach`,
        message: `${text(perMin)} efforts a minute of ${text(secEach)} s each take ${text(busySec)} s of every minute: at most ${text(SECONDS_IN_A_MINUTE / perMin)} s each, or ${text(SECONDS_IN_A_MINUTE / secEach)} a minute`,
      });
    });
    if (overlaps) return;
    for (const side of HAND_SIDES) {
      const busySec = effortsOf(task, side).reduce((sum, { perMin, secEach }) => sum + perMin * secEach, 0);
      if (busySec > SECONDS_IN_A_MINUTE + SLACK)
        problems.push({
          path: `tasks.${t}.efforts`,
          message: `the efforts of the ${side} hand add up to ${text(busySec)} s of every minute; one hand has 60`,
        });
    }
  });
  const inDay = new Map<string, string>();
  work.days.forEach((day, d) => {
    once(day.id, `days.${d}.id`);
    day.parts.forEach(({ taskId }, p) => {
      if (taskId !== null && !work.tasks.some((task) => task.id === taskId))
        problems.push({ path: `days.${d}.parts.${p}.taskId`, message: "is not one of the tasks" });
    });
    const totalMin = day.parts.reduce((sum, part) => sum + part.minutes, 0);
    if (totalMin > MOST_HOURS * 60)
      problems.push({ path: `days.${d}.parts`, message: `add up to ${hours(totalMin)}; a day has ${MOST_HOURS} h` });
    else if (shiftMin !== null && totalMin > shiftMin)
      problems.push({
        path: `days.${d}.parts`,
        message: `add up to ${hours(totalMin)}; the longest shift has ${hours(shiftMin)} without its breaks`,
      });
    day.personIds.forEach((personId, p) => {
      if (inDay.has(personId)) problems.push({ path: `days.${d}.personIds.${p}`, message: `already works "${inDay.get(personId)}"` });
      inDay.set(personId, day.name);
    });
  });
  (work.treatments ?? []).forEach(({ id, parts, lengthMin }, t) => {
    once(id, `treatments.${t}.id`);
    parts.forEach(({ taskId }, p) => {
      if (!work.tasks.some((task) => task.id === taskId))
        problems.push({ path: `treatments.${t}.parts.${p}.taskId`, message: "is not one of the tasks" });
    });
    const handMin = parts.reduce((sum, part) => sum + part.minutes, 0);
    if (handMin > lengthMin)
      problems.push({ path: `treatments.${t}.parts`, message: `add up to ${handMin} min; the treatment has ${lengthMin}` });
  });
  return problems;
}

function text(value: number): string {
  return String(Math.round(value * 10) / 10);
}

function hours(min: number): string {
  return `${Math.floor(min / 60)} h${min % 60 === 0 ? "" : ` ${min % 60} min`}`;
}
