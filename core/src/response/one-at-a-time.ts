/** Of everything a person could do more of, one item is raised at a time: what changed the morning after can then be told. */
import type { Library, Phase } from "../library";
import type { Response } from "./facts";

/** What is raised first. Practice rule: strength is what a block is for, then range, then the rest. */
const FIRST: readonly Phase[] = ["strengthen", "stretch", "glide", "mobility", "release", "getReady"];

/**
 * @param answers of one person, in the order of the program
 * @returns the same, all but the first item to be raised held
 */
export function oneAtATime<Answer extends { movementId: string; response: Response }>(
  library: Library,
  answers: readonly Answer[],
): Answer[] {
  const raised = answers.filter(({ response }) => response.kind === "progress");
  const place = ({ movementId }: Answer) => FIRST.indexOf(library.find(movementId)?.phase ?? "getReady");
  const [first] = [...raised].sort((a, b) => place(a) - place(b));
  return answers.map((answer) =>
    answer.response.kind !== "progress" || answer === first
      ? answer
      : {
          ...answer,
          response: { kind: "hold", fired: [...answer.response.fired, { rule: "oneAtATime" }], next: null, raised: null, largeStep: false },
        },
  );
}
