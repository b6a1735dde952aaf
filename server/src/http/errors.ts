/** Turns whatever was thrown into an answer: a named problem, a database that is away, or a plain 500 that tells nothing. */
import type { ErrorRequestHandler } from "express";
import { BaseError, ConnectionError, TimeoutError, UniqueConstraintError } from "sequelize";
import { isWorthAnotherTry } from "../db/transaction";
import { diskFull } from "./disk";
import { Problem } from "./problem";

export const errorHandler: ErrorRequestHandler = (error: unknown, request, response, _next) => {
  if (response.headersSent) return response.destroy();
  const problem = problemOf(error);
  if (problem.status >= 500) request.log?.error({ err: error, code: problem.code }, "request failed");
  if (problem.status === 503) response.setHeader("Retry-After", "2");
  response.status(problem.status).json({ code: problem.code, message: problem.message, fields: problem.fields, detail: problem.detail });
};

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (isDatabaseAway(error))
    return new Problem(
      503,
      "databaseAway",
      "The records cannot be reached at the moment. Nothing you typed is lost; try again in a moment.",
    );
  if (isDiskFull(error)) return diskFull();
  // One statement that collided with another node's, and was not tried again as a transaction is.
  if (isWorthAnotherTry(error)) return new Problem(503, "busy", "Somebody else changed the same at the same moment. Try again.");
  if (error instanceof UniqueConstraintError)
    return new Problem(
      409,
      "taken",
      "Somebody else has this already.",
      error.errors.map(({ path, message }) => ({ path: path ?? "", message })),
    );
  const status = (error as { status?: number }).status;
  const type = (error as { type?: string }).type;
  if (type === "entity.too.large") return new Problem(413, "tooLarge", "This is larger than the server takes.");
  if (type === "entity.parse.failed") return new Problem(400, "notJson", "The request is not JSON.");
  if ((error as { code?: string }).code === "EBADCSRFTOKEN")
    return new Problem(403, "csrf", "This page is out of date. Reload it and try again.");
  if (status !== undefined && status >= 400 && status < 500) return new Problem(status, "refused", "The request was refused.");
  return new Problem(500, "failed", "Something went wrong on our side. Nothing was half saved.");
}

/** As the database says it: for the table, for the file, or as the system does. */
function isDiskFull(error: unknown): boolean {
  const { code, errno } = ((error as { parent?: unknown }).parent ?? error) as { code?: string; errno?: number };
  return ["ER_DISK_FULL", "ER_RECORD_FILE_FULL", "ENOSPC"].includes(code ?? "") || errno === 1021 || errno === 1114;
}

/** Connection refused, lost or timed out; also a pool that gave up waiting, and a server shutting down. */
function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError || error instanceof TimeoutError) return true;
  const cause = (error instanceof BaseError && "parent" in error ? error.parent : error) as { code?: string } | undefined;
  return (
    [
      "ECONNREFUSED",
      "ECONNRESET",
      "EPIPE",
      "ER_SOCKET_UNEXPECTED_CLOSE",
      "ER_CMD_CONNECTION_CLOSED",
      "ER_CONNECTION_ALREADY_CLOSED",
      "ER_SERVER_SHUTDOWN",
      "ER_CONNECTION_KILLED",
      "ER_GET_CONNECTION_TIMEOUT",
    ].includes(cause?.code ?? "") || /SequelizeConnection/.test((error as Error)?.name ?? "")
  );
}
