/**
 * One way to declare a route: schemas for what comes in, who may call it, what it does. Validation, the role check and
 * the OpenAPI description all come from that one declaration. Trainers only unless it says otherwise: nothing is open by mistake.
 */
import express, { type Request, type RequestHandler, type Response, type Router } from "express";
import * as v from "valibot";
import { issueText } from "@kind-grip/core/units";
import type { Role, Scope } from "@kind-grip/core/api";
import { callerOf, type Caller } from "../auth/caller";
import type { TokenCaller } from "../token/tokens";
import { invalid, notFound, Problem } from "./problem";
import { WrittenAnswer } from "./written";

type Schema = v.GenericSchema;
type Out<S> = S extends Schema ? v.InferOutput<S> : undefined;

/** What a route answers: JSON of this shape, a file of this type, or nothing (204). */
interface Answering {
  answer?: Schema;
  file?: string;
}

export interface RouteSpec<
  P extends Schema | undefined = undefined,
  Q extends Schema | undefined = undefined,
  B extends Schema | undefined = undefined,
> extends Answering {
  /** Of the operation in the description; the interface calls it by the same name. */
  id: string;
  method: "get" | "post" | "put" | "delete";
  /** Express path, e.g. `/api/crews/:crewId`. */
  path: string;
  summary: string;
  /** Who may call it; trainers only when left out. `anyone` needs no sign-in. */
  roles?: readonly Role[] | "anyone";
  /** Which API tokens may call it: those of one scope, or all; none when left out. */
  scope?: Scope | "every";
  params?: P;
  query?: Q;
  body?: B;
  /** Larger bodies are refused with 413. */
  bodyLimit?: string;
  /** Returns the JSON answer, which may be written already; undefined for 204; or answers by itself through `response`. */
  handle(call: { params: Out<P>; query: Out<Q>; body: Out<B>; caller: Caller; request: Request; response: Response }): Promise<unknown>;
}

export interface DeclaredRoute extends Answering {
  id: string;
  /** The subject it belongs to. */
  tag: string;
  method: string;
  path: string;
  summary: string;
  roles: readonly Role[] | "anyone";
  scope?: Scope | "every";
  params?: Schema;
  query?: Schema;
  body?: Schema;
}

/** What holds for every route. */
export interface RouteRules {
  /** Throws when what a session or token was opened with is no longer good. */
  stillAllowed?: (caller: Caller, path: string) => Promise<void>;
  /** Writes down what a token was used for. */
  noteUse?: (tokenId: string, operation: string, answered: boolean) => Promise<void>;
  /** Holds every answer against its schema; for tests: a running server answers rather than being strict. */
  checkAnswers?: boolean;
}

/** Collects the routes of the application on one router. */
export class Routes {
  readonly declared: DeclaredRoute[] = [];
  readonly router: Router = express.Router();

  private tag = "";

  constructor(private readonly rules: RouteRules = {}) {}

  /** Routes added from here on belong to a subject. */
  under(tag: string): this {
    this.tag = tag;
    return this;
  }

  add<P extends Schema | undefined = undefined, Q extends Schema | undefined = undefined, B extends Schema | undefined = undefined>(
    spec: RouteSpec<P, Q, B>,
  ): void {
    const roles = spec.roles ?? (["trainer"] as const);
    this.declared.push({
      id: spec.id,
      tag: this.tag,
      answer: spec.answer,
      file: spec.file,
      method: spec.method,
      path: spec.path,
      summary: spec.summary,
      roles,
      scope: spec.scope,
      params: spec.params,
      query: spec.query,
      body: spec.body,
    });
    const handlers: RequestHandler[] = spec.body ? [express.json({ limit: spec.bodyLimit ?? "256kb" })] : [];
    const answered = async (request: Request, response: Response) => {
      if (request.byToken) refuseOutOfScope(request.byToken, spec.scope);
      const caller = roles === "anyone" ? (undefined as unknown as Caller) : callerOf(request, roles);
      if (roles !== "anyone") await this.rules.stillAllowed?.(caller, spec.path);
      const call = {
        params: parse(spec.params, request.params, "params") as Out<P>,
        query: parse(spec.query, request.query, "query") as Out<Q>,
        body: parse(spec.body, request.body, "") as Out<B>,
      };
      const answer = await spec.handle({ ...call, caller, request, response });
      if (this.rules.checkAnswers && !response.headersSent)
        refuseUndeclared(spec, answer instanceof WrittenAnswer ? answer.answer : answer);
      return answer;
    };
    this.router[spec.method](spec.path, ...handlers, async (request, response) => {
      const answer = await this.noted(request.byToken, spec.id, () => answered(request, response));
      if (response.headersSent) return;
      if (answer === undefined) response.status(204).end();
      else if (answer instanceof WrittenAnswer) await answer.send(request, response);
      else response.json(answer);
    });
  }

  /** Of a call with a token it is written down whether it was answered. */
  private async noted<Answer>(byToken: TokenCaller | undefined, operation: string, work: () => Promise<Answer>): Promise<Answer> {
    const tokenId = byToken?.caller.token?.id;
    if (tokenId === undefined) return work();
    let isAnswered = false;
    try {
      const answer = await work();
      isAnswered = true;
      return answer;
    } finally {
      await this.rules.noteUse?.(tokenId, operation, isAnswered);
    }
  }
}

/** @throws Problem 403 for what a token is not for */
function refuseOutOfScope({ scopes }: TokenCaller, scope: Scope | "every" | undefined): void {
  if (scope === undefined) throw new Problem(403, "notForTokens", "No API token may do this. Sign in for it.");
  if (scope !== "every" && !scopes.includes(scope)) throw new Problem(403, "outOfScope", `This token is not for ${scope}.`);
}

/** @throws Error when an answer is not what its route declares; a field nobody declared may be one nobody should see */
function refuseUndeclared({ id, answer: schema }: { id: string } & Answering, answer: unknown): void {
  if (schema === undefined && answer === undefined) return;
  if (schema === undefined) throw new Error(`${id} answers something it does not declare`);
  const parsed = v.safeParse(schema, JSON.parse(JSON.stringify(answer ?? null)));
  if (parsed.success) return;
  const [issue] = parsed.issues;
  throw new Error(`${id} does not answer what it declares: ${v.getDotPath(issue) ?? "it"} ${issue.message}`);
}

function parse(schema: Schema | undefined, data: unknown, where: string): unknown {
  if (!schema) return undefined;
  const parsed = v.safeParse(schema, data ?? {});
  if (parsed.success) return parsed.output;
  // An id that is no UUID cannot belong to anything.
  if (where === "params" && parsed.issues.some((issue) => issue.type === "uuid")) throw notFound("thing");
  throw invalid(
    parsed.issues.map((issue) => ({ path: [where, v.getDotPath(issue)].filter(Boolean).join("."), message: issueText(issue) })),
  );
}
