/**
 * Passkeys (Web Authentication, W3C 2021): the browser proves that it has a key that never leaves it, after its owner unlocked it. Such a
 * sign-in needs neither password nor second step. A question is not stored until it was answered: it carries its time and a code only this
 * server makes; answered, it is kept until it would have run out, so that an answer is good once.
 */
import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import type { Passkey, PasskeyAnswer, PasskeyQuestion } from "@kind-grip/core/api";
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from "@simplewebauthn/server";
import type { Request } from "express";
import { Op, UniqueConstraintError } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Db } from "../db/connection";
import { invalid, notFound, Problem } from "../http/problem";
import type { Caller } from "./caller";
import type { AccountRow, PasskeyRow } from "./tables";

/** Read when the first passkey is: most starts of a server see none. */
const webAuthn = () => import("@simplewebauthn/server");

const PRODUCT = "Kind Grip";
const MOST_KEYS = 10;
export const QUESTION_MS = 5 * 60_000;

/** The site a key belongs to: the name the browser asked for. */
interface Site {
  rpID: string;
  origin: string;
}

/** @throws Problem 400 at an address that is a number: browsers have no passkeys there */
export function siteOf(request: Pick<Request, "protocol" | "hostname" | "get">): Site {
  if (/^[\d.]+$|:/.test(request.hostname))
    throw new Problem(400, "noPasskeysHere", "Passkeys need an address with a name; open this one as localhost, or by its domain.");
  return { rpID: request.hostname, origin: `${request.protocol}://${request.get("host")}` };
}

export class PasskeyQuestions {
  constructor(
    private readonly db: Db,
    private readonly secret: string,
  ) {}

  /** @param whose the account it is for; empty when that is what the answer will tell */
  make(whose: string, at: Date): Uint8Array<ArrayBuffer> {
    const head = Buffer.alloc(24);
    randomBytes(16).copy(head);
    head.writeBigUInt64BE(BigInt(at.getTime()), 16);
    return Uint8Array.from(Buffer.concat([head, this.seal(head, whose)]));
  }

  /** @param question as the browser gives it back @returns whether it is one of ours, in time, and answered for the first time */
  async take(question: string, whose: string, at: Date): Promise<boolean> {
    const bytes = Buffer.from(question, "base64url");
    if (bytes.length !== 56) return false;
    const head = bytes.subarray(0, 24);
    if (!timingSafeEqual(this.seal(head, whose), bytes.subarray(24))) return false;
    const age = at.getTime() - Number(head.readBigUInt64BE(16));
    if (age < 0 || age > QUESTION_MS) return false;
    const { AnsweredQuestion } = this.db.models;
    await AnsweredQuestion.destroy({ where: { at: { [Op.lt]: new Date(at.getTime() - QUESTION_MS) } } });
    try {
      await AnsweredQuestion.create({ challenge: question, at });
      return true;
    } catch (error) {
      if (error instanceof UniqueConstraintError) return false;
      throw error;
    }
  }

  private seal(head: Buffer, whose: string): Buffer {
    return createHmac("sha256", this.secret).update("passkey question\n").update(head).update(whose).digest();
  }
}

export async function listPasskeys({ models }: Db, { accountId }: Pick<Caller, "accountId">): Promise<Passkey[]> {
  const rows = await models.Passkey.findAll({ where: { accountId }, order: ["addedAt"] });
  return rows.map((row) => {
    const { id, name, addedAt, usedAt } = row.get({ plain: true });
    return { id, name, addedAt: addedAt.toISOString(), usedAt: usedAt?.toISOString() ?? null };
  });
}

/** @throws Problem 409 when there are ten already */
export async function askForNew(
  db: Db,
  questions: PasskeyQuestions,
  { id, email, name }: AccountRow,
  site: Site,
  at: Date,
): Promise<PasskeyQuestion> {
  const known = await db.models.Passkey.findAll({ where: { accountId: id }, attributes: ["credentialId"] });
  if (known.length >= MOST_KEYS) throw new Problem(409, "tooMany", "Ten passkeys are enough. Take one out first.");
  return {
    ...(await (
      await webAuthn()
    ).generateRegistrationOptions({
      rpName: PRODUCT,
      rpID: site.rpID,
      userName: email,
      userDisplayName: name,
      userID: Uint8Array.from(Buffer.from(id)),
      challenge: questions.make(id, at),
      attestationType: "none",
      excludeCredentials: known.map((row) => ({ id: row.get().credentialId })),
      authenticatorSelection: { residentKey: "required", userVerification: "required" },
    })),
  };
}

/** @throws Problem 400 for an answer that is not to the question, or not of this site */
export async function addPasskey(
  db: Db,
  questions: PasskeyQuestions,
  { accountId }: Caller,
  site: Site,
  { name, answer }: { name: string; answer: PasskeyAnswer },
  at: Date,
): Promise<Passkey[]> {
  const { verified, registrationInfo } = await (
    await webAuthn()
  )
    .verifyRegistrationResponse({
      response: answer as unknown as RegistrationResponseJSON,
      expectedChallenge: (question) => questions.take(question, accountId, at),
      expectedOrigin: site.origin,
      expectedRPID: site.rpID,
    })
    .catch(() => ({ verified: false as const, registrationInfo: undefined }));
  if (!verified || !registrationInfo) throw invalid([{ path: "answer", message: "is not an answer to what was asked; begin again" }]);
  const { id: credentialId, publicKey, counter } = registrationInfo.credential;
  const transports = (answer.response as { transports?: unknown }).transports;
  const row: PasskeyRow = {
    id: uuid(),
    accountId,
    credentialId,
    publicKey: Buffer.from(publicKey),
    signCount: counter,
    transports: Array.isArray(transports) ? transports.filter((each): each is string => typeof each === "string").slice(0, 8) : [],
    name,
    addedAt: at,
    usedAt: null,
  };
  await db.models.Passkey.create(row).catch((error: unknown) => {
    if (error instanceof UniqueConstraintError) throw new Problem(409, "taken", "This passkey is known already.");
    throw error;
  });
  return listPasskeys(db, { accountId });
}

export async function removePasskey(db: Db, { accountId }: Caller, id: string): Promise<Passkey[]> {
  if ((await db.models.Passkey.destroy({ where: { id, accountId } })) === 0) throw notFound("passkey");
  return listPasskeys(db, { accountId });
}

export async function askForSignIn(questions: PasskeyQuestions, site: Site, at: Date): Promise<PasskeyQuestion> {
  return {
    ...(await (
      await webAuthn()
    ).generateAuthenticationOptions({ rpID: site.rpID, challenge: questions.make("", at), userVerification: "required" })),
  };
}

/** @returns the account whose key answered; undefined for any answer that is not good */
export async function accountOfAnswer(
  db: Db,
  questions: PasskeyQuestions,
  site: Site,
  answer: PasskeyAnswer,
  at: Date,
): Promise<AccountRow | undefined> {
  const key = (await db.models.Passkey.findOne({ where: { credentialId: answer.id } }))?.get({ plain: true });
  if (!key) return undefined;
  const { verified, authenticationInfo } = await (
    await webAuthn()
  )
    .verifyAuthenticationResponse({
      response: answer as unknown as AuthenticationResponseJSON,
      expectedChallenge: (question) => questions.take(question, "", at),
      expectedOrigin: site.origin,
      expectedRPID: site.rpID,
      credential: { id: key.credentialId, publicKey: Uint8Array.from(key.publicKey), counter: Number(key.signCount) },
    })
    .catch(() => ({ verified: false as const, authenticationInfo: undefined }));
  if (!verified || !authenticationInfo) return undefined;
  await db.models.Passkey.update({ signCount: authenticationInfo.newCounter, usedAt: at }, { where: { id: key.id } });
  return (await db.models.Account.findByPk(key.accountId))?.get({ plain: true });
}
