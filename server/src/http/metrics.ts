/**
 * What a monitoring server reads (Prometheus, text format): how long answers take by route, the database's pool, what waits, failed
 * sign-ins, the process itself. Counted by route and outcome; never an address, a person or a practice.
 */
import type { RequestHandler } from "express";
import { timingSafeEqual } from "node:crypto";
import { collectDefaultMetrics, Gauge, Histogram, Registry } from "prom-client";
import { QueryTypes } from "sequelize";
import type { Db } from "../db/connection";
import { healthByPart, type Surroundings } from "../health/parts";

/** Sign-ins that failed are counted over so long, minutes. */
const FAILED_WITHIN_MIN = 15;

export interface Metrics {
  /** Times every answer; before all routes. */
  time: RequestHandler;
  /** Answers whoever has the token; to everybody else there is no such address. */
  page: RequestHandler;
  /** How each part is, for the same; 503 where one is not well. */
  parts: RequestHandler;
}

/** @param token what a monitoring server sends as `Authorization: Bearer …` */
export function metricsOf(db: Db, token: string, surroundings: Surroundings = {}): Metrics {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const registers = [registry];
  const answers = new Histogram({
    name: "kind_grip_answer_seconds",
    help: "How long answers of the interface took, by route and outcome",
    labelNames: ["method", "route", "outcome"] as const,
    buckets: [0.01, 0.03, 0.1, 0.3, 1, 3, 10],
    registers,
  });
  const gauge = (name: string, help: string, label: string, collect: () => Promise<Record<string, number>>) =>
    new Gauge({
      name: `kind_grip_${name}`,
      help,
      labelNames: [label],
      registers,
      async collect() {
        this.reset();
        for (const [value, count] of Object.entries(await collect())) this.set({ [label]: value }, count);
      },
    });
  const counted = async (sql: string) => {
    const rows = await db.sequelize.query<{ label: string; count: number | string }>(sql, { type: QueryTypes.SELECT });
    return Object.fromEntries(rows.map(({ label, count }) => [label, Number(count)]));
  };
  gauge("database_connections", "Connections of this process to the database", "state", async () => {
    const { size, available, using, waiting } = (db.sequelize.connectionManager as unknown as { pool: Pool }).pool;
    return { open: size, free: available, busy: using, waiting };
  });
  gauge("messages", "Reminders that wait to be sent, or could not be", "state", () =>
    counted("SELECT state AS label, COUNT(*) AS count FROM messages WHERE state IN ('waiting', 'failed') GROUP BY state"),
  );
  gauge("jobs", "Files that are to be made or are being made", "state", () =>
    counted("SELECT state AS label, COUNT(*) AS count FROM jobs WHERE state IN ('waiting', 'making', 'failed') GROUP BY state"),
  );
  gauge("sign_in_attempts", `Attempts to sign in of the last ${FAILED_WITHIN_MIN} minutes that did not succeed`, "outcome", async () =>
    counted(
      `SELECT 'failed' AS label, COUNT(*) AS count FROM sign_in_attempts WHERE at > UTC_TIMESTAMP() - INTERVAL ${FAILED_WITHIN_MIN} MINUTE AND email NOT LIKE 'way back of %'`,
    ),
  );
  return {
    time(request, response, next) {
      const done = answers.startTimer();
      response.on("finish", () => {
        // The pattern, not the address: an address may name somebody, or be a secret.
        const route = (request.route as { path?: string } | undefined)?.path ?? "none";
        done({ method: request.method, route, outcome: `${Math.floor(response.statusCode / 100)}xx` });
      });
      next();
    },
    async page(request, response, next) {
      if (!isToken(request.get("authorization") ?? "", token)) return next();
      response.type(registry.contentType).send(await registry.metrics());
    },
    async parts(request, response, next) {
      if (!isToken(request.get("authorization") ?? "", token)) return next();
      const parts = await healthByPart(db, surroundings);
      response.status(parts.every(({ isWell }) => isWell) ? 200 : 503).json({ parts });
    },
  };
}

interface Pool {
  size: number;
  available: number;
  using: number;
  waiting: number;
}

function isToken(given: string, token: string): boolean {
  const [a, b] = [Buffer.from(given), Buffer.from(`Bearer ${token}`)];
  return a.length === b.length && timingSafeEqual(a, b);
}
