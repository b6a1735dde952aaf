/** Answers that are not 2xx, thrown anywhere below a route. */

export interface FieldProblem {
  /** Dotted path of the field; empty for the request as a whole. */
  path: string;
  message: string;
}

export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: FieldProblem[] = [],
    /** Anything the screen needs to offer a way on, e.g. the newer version of a document. */
    readonly detail?: unknown,
  ) {
    super(message);
  }
}

/** Also the answer for what exists but is somebody else's: whether it exists is not told. */
export function notFound(what: string): Problem {
  return new Problem(404, "notFound", `There is no such ${what}.`);
}

export function invalid(fields: FieldProblem[]): Problem {
  return new Problem(400, "invalid", "Some fields need another look.", fields);
}

/** Somebody saved a newer version in between; `current` is theirs. */
export function stale(current: unknown): Problem {
  return new Problem(409, "stale", "Somebody else saved a newer version.", [], current);
}
