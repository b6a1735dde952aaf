/** The Express application: security, sessions, the routes of every subject, and the built interface. */
import "@kind-grip/core/language/all";
import { DeviceAddress, OpenApi } from "@kind-grip/core/api";
import type { ContactWay } from "@kind-grip/core/contact";
import path from "node:path";
import express from "express";
import staticFiles from "express-static-gzip";
import { pino, type DestinationStream } from "pino";
import { pinoHttp } from "pino-http";
import type { Caller } from "./auth/caller";
import { needsSecondStep, standingOf } from "./auth/standing";
import { csrfProtection, sessionMiddleware } from "./auth/session";
import { SUBJECTS } from "./subjects";
import { practiceClock, type AppContext } from "./context";
import type { Db } from "./db/connection";
import { tokenGate, withoutToken } from "./token/gate";
import { noteUse } from "./token/tokens";
import { diskFull, LEAST_FREE_BYTES, refuseWithoutRoom, type FreeBytes } from "./http/disk";
import { JobWorker } from "./job/worker";
import { errorHandler } from "./http/errors";
import { securityHeaders, withoutPageHeaders } from "./http/headers";
import { packedAnswers } from "./http/packed";
import { addSchemaRoutes } from "./schema/routes";
import { openApiOf } from "./http/openapi";
import { notFound, Problem } from "./http/problem";
import { isStillGood } from "./member/access";
import { addDemoRoutes } from "./demo/routes";
import type { Mailer } from "./message/mail";
import type { Push } from "./message/push";
import { waysOf } from "./message/ways";
import { metricsOf } from "./http/metrics";
import { Routes, type DeclaredRoute } from "./http/route";
import type { Surroundings } from "./health/parts";

/** Devices and services outside the application, as far as there are any. */
export interface OutsideServices {
  /** Where the simulated meter listens. */
  meterAddress?: string;
  /** Where the message gateway is; the stand-in has a page there. */
  gatewayAddress?: string;
  mail?: Mailer;
  push?: Push;
  /** Where the stand-in of a mail server shows what it took. */
  inboxAddress?: string;
}

export interface AppOptions {
  db: Db;
  /** Signs the session cookie. */
  secret: string;
  /** Folder of the built interface; none in API tests. */
  webRoot?: string;
  /** None in API tests. Looked at when something is wanted of them: some come later. */
  outsides?: OutsideServices;
  logLevel?: string;
  /** Where the log goes; standard output when left out. */
  logTo?: DestinationStream;
  /** Holds every answer against its schema; for tests. */
  checkAnswers?: boolean;
  /** Free bytes where the database keeps its files; none when it is somewhere else. */
  freeBytes?: FreeBytes;
  /** `host:port` of machines of the inside network that calendars may be read from; none when left out. */
  insideCalendars?: ReadonlySet<string>;
  /** What links that are passed on begin with; what the browser asked for when left out. */
  publicAddress?: string;
  /** What a monitoring server sends to read the metrics; none without it. */
  metricsToken?: string;
  /** What whoever has that token is told of besides the database. */
  surroundings?: Surroundings;
  /** What this process is for; everything when left out. */
  role?: "all" | "answers" | "works";
  /** How often an API token may call in a minute. */
  apiCallsAMinute?: number;
  /** Loads the demo practice beside what is there; none where it may not be. */
  loadDemo?: () => Promise<void>;
  /** Number of proxies in front whose `X-Forwarded-*` is believed. */
  proxies?: number;
}

/** Without the query, and without the secret of a calendar link. */
function loggedPath(url: string): string {
  return url.split("?")[0]!.replace(/^(\/api\/calendar\/).*/, "$1…");
}

/** What the database calls its trouble: its code and number, never its message, which may hold what was being stored. */
function databaseCode(error: unknown): { code?: string; errno?: number } {
  const { parent = error } = error as { parent?: unknown };
  const { code, errno } = parent as { code?: string; errno?: number };
  return { ...(code ? { code } : {}), ...(errno ? { errno } : {}) };
}

export function createApp({
  db,
  secret,
  webRoot,
  outsides = {},
  logLevel = "info",
  logTo,
  proxies = 0,
  checkAnswers = false,
  freeBytes,
  insideCalendars = new Set(),
  publicAddress,
  metricsToken,
  surroundings,
  role = "all",
  loadDemo,
  apiCallsAMinute = 120,
}: AppOptions) {
  const app = express();
  app.disable("x-powered-by");
  app.set("trust proxy", proxies);
  const logger = logTo ? pino({ level: logLevel }, logTo) : pino({ level: logLevel });
  app.use(
    pinoHttp({
      logger,
      // The address line and the outcome; never a body, a query or a cookie.
      serializers: {
        req: (req: { id: unknown; method: string; url: string }) => ({ id: req.id, method: req.method, path: loggedPath(req.url) }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
        err: (err: Error) => ({ type: err.name, ...databaseCode(err), stack: err.stack?.split("\n").slice(1, 6).join("\n") }),
      },
    }),
  );
  app.use(securityHeaders());

  if (metricsToken) {
    const metrics = metricsOf(db, metricsToken, surroundings);
    app.use("/api", metrics.time);
    app.get("/metrics", metrics.page);
    app.get("/healthz/parts", metrics.parts);
  }
  app.get("/healthz", (_request, response) => void response.json({ alive: true }));
  app.get("/readyz", async (_request, response) => {
    await db.sequelize.authenticate();
    if (freeBytes && (await freeBytes()) < LEAST_FREE_BYTES) throw diskFull();
    // Of a cluster: which of its nodes could be used.
    const nodes = await db.nodes.all();
    response.json({ ready: true, ...(nodes.length > 1 ? { nodes } : {}) });
  });

  const worker = new JobWorker(db, role !== "answers");
  // Nobody comes here but whoever looks whether it lives.
  if (role === "works") {
    app.use(() => {
      throw notFound("address");
    });
    app.use(errorHandler);
    return Object.assign(app, { declared: [] as DeclaredRoute[], stop: () => worker.stop() });
  }

  if (webRoot)
    app.use(
      // Beside each file the build left it packed: brotli for whoever takes it, gzip, or as it is.
      staticFiles(webRoot, {
        enableBrotli: true,
        orderPreference: ["br", "gzip"],
        index: false,
        serveStatic: {
          index: false,
          setHeaders: (response, file) => {
            const ofThisBuild = file.includes(`${path.sep}assets${path.sep}`);
            response.setHeader("Cache-Control", ofThisBuild ? "public, max-age=31536000, immutable" : "no-cache");
            if (ofThisBuild) withoutPageHeaders(response, file);
          },
        },
      }),
    );

  const sessions = sessionMiddleware(db, secret);
  app.use(
    "/api",
    packedAnswers(),
    tokenGate(db, apiCallsAMinute),
    withoutToken(sessions.middleware),
    (_request, response, next) => {
      response.setHeader("Cache-Control", "no-store");
      next();
    },
    withoutToken(csrfProtection),
    ...(freeBytes ? [refuseWithoutRoom(freeBytes)] : []),
  );

  const context: AppContext = {
    db,
    now: practiceClock(db),
    worker,
    secret,
    insideCalendars,
    mail: () => outsides.mail,
    push: () => outsides.push,
    ways: () => Object.keys(waysOf(outsides)) as ContactWay[],
    addressOf: (request) => publicAddress ?? `${request.protocol}://${request.get("host")}`,
  };
  const stillAllowed = async (caller: Caller, path: string) => {
    const gone = new Problem(401, "signedOut", "This sign-in is no longer good. Ask your trainer for a new one.");
    if (caller.role === "member") {
      if (!(await isStillGood(db, caller, await context.now(caller)))) throw gone;
      return;
    }
    const standing = await standingOf(db, caller);
    if (!standing) throw gone;
    if (needsSecondStep(standing) && !path.startsWith("/api/me/"))
      throw new Problem(403, "secondStepNeeded", "Your practice asks for a second step or a passkey. Add one under Practice first.");
  };
  const routes = new Routes({
    stillAllowed,
    noteUse: (tokenId, operation, answered) => noteUse(db, tokenId, operation, answered, new Date()),
    checkAnswers,
  });
  for (const [tag, add] of Object.entries(SUBJECTS)) add(routes.under(tag), context);
  routes.under("service");
  routes.add({
    id: "meter",
    method: "get",
    path: "/api/meter",
    roles: ["trainer", "member"],
    summary: "Where the simulated meter listens, if there is one",
    answer: DeviceAddress,
    handle: async () => ({ address: outsides.meterAddress ?? null }),
  });
  addDemoRoutes(routes, context, loadDemo);
  routes.add({
    id: "gateway",
    method: "get",
    path: "/api/gateway",
    summary: "Where the message gateway's own page is, if there is one",
    answer: DeviceAddress,
    handle: async () => ({ address: outsides.gatewayAddress ?? null }),
  });
  let description: object | undefined;
  routes.add({
    id: "openApi",
    method: "get",
    path: "/api/openapi.json",
    summary: "This description",
    answer: OpenApi,
    roles: "anyone",
    scope: "every",
    // The same for as long as the server runs.
    handle: async () => (description ??= openApiOf(routes.declared)),
  });
  addSchemaRoutes(routes, context);
  app.use(routes.router);
  app.use("/api", () => {
    throw notFound("address");
  });

  if (webRoot)
    app.get("/{*path}", (_request, response) => response.setHeader("Cache-Control", "no-cache").sendFile(path.join(webRoot, "index.html")));
  app.use(errorHandler);
  const stop = async () => {
    sessions.stop();
    await worker.stop();
  };
  return Object.assign(app, { declared: routes.declared as readonly DeclaredRoute[], stop });
}
