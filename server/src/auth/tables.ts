/** Who signs in with a password, and what was tried, as they are stored. */
import type { LinkKind, Role } from "@kind-grip/core/api";
import type { Measures } from "@kind-grip/core/units";
import { DataTypes, type Sequelize } from "sequelize";
import { counted, hashPart, hashText, id, idPart, json, longText, moment, text, uuid, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface AccountRow {
  id: string;
  practiceId: string;
  role: Exclude<Role, "member">;
  email: string;
  name: string;
  passwordHash: string;
  /** The trainer who gave the sign-in; null for a trainer. */
  givenBy?: string | null;
  /** Until then the first password may be made anew by whoever gave it. */
  firstSignInAt?: Date | null;
  /** Of the second step; it counts since `totpSince`. */
  totpSecret?: string | null;
  totpSince?: Date | null;
  /** The step whose digits were used last. */
  totpLastStep?: number | null;
  /** Of the codes on paper that are left. */
  recoveryHashes?: string[] | null;
  /** Their own units, clock and dates; null for the practice's. */
  measures?: Measures | null;
}

export interface PasskeyRow {
  id: string;
  accountId: string;
  /** As the browser calls the key. */
  credentialId: string;
  publicKey: Buffer;
  /** How often the key signed, where it counts. */
  signCount: number;
  transports: string[];
  name: string;
  addedAt: Date;
  usedAt: Date | null;
}

/** A question to a passkey that was answered, until it would have run out. */
export interface AnsweredQuestionRow {
  challenge: string;
  at: Date;
}

/** A browser somebody signed in with. */
export interface KnownDeviceRow {
  deviceHash: string;
  accountId: string;
  lastAt: Date;
}

export interface SignedInSessionRow {
  sid: string;
  expires: Date;
  data: string;
  /** What a session is called outside: its own id is the secret that opens it. */
  publicId: string | null;
  /** The account; for a crew member, the person. */
  accountId: string | null;
  device: string | null;
  createdAt?: Date;
  updatedAt?: Date;
}

export interface SignInAttemptRow {
  id?: number;
  email: string;
  address: string;
  at: Date;
}

/** A one-time address; its id is that of the account an invitation becomes. */
export interface OneTimeLinkRow {
  id: string;
  secretHash: string;
  kind: LinkKind;
  /** Null on the first day. */
  practiceId: string | null;
  /** Whose password it sets. */
  accountId: string | null;
  /** Who invited; null where the server made it. */
  madeBy: string | null;
  name: string;
  email: string;
  role: AccountRow["role"];
  crewIds: string[];
  madeAt: Date;
  until: Date;
}

export function defineAuthTables(sequelize: Sequelize) {
  return {
    Account: sequelize.define("accounts", {
      id: { ...id },
      practiceId: uuid,
      role: text,
      email: text,
      name: text,
      passwordHash: text,
      givenBy: uuid,
      firstSignInAt: moment,
      ...encrypted("totpSecret"),
      totpSince: moment,
      totpLastStep: DataTypes.BIGINT,
      recoveryHashes: json,
      measures: json,
    }) as Table<AccountRow>,
    OneTimeLink: sequelize.define("one_time_links", {
      id: { ...id },
      secretHash: hashText,
      kind: text,
      practiceId: uuid,
      accountId: uuid,
      madeBy: uuid,
      name: text,
      email: text,
      role: text,
      crewIds: json,
      madeAt: moment,
      until: moment,
    }) as Table<OneTimeLinkRow>,
    Passkey: sequelize.define("passkeys", {
      id: { ...id },
      accountId: uuid,
      credentialId: longText,
      publicKey: DataTypes.BLOB,
      signCount: DataTypes.BIGINT,
      transports: json,
      name: text,
      addedAt: moment,
      usedAt: moment,
    }) as Table<PasskeyRow>,
    AnsweredQuestion: sequelize.define("passkey_challenges", {
      challenge: { type: text, primaryKey: true },
      at: moment,
    }) as Table<AnsweredQuestionRow>,
    KnownDevice: sequelize.define("known_devices", {
      deviceHash: { ...hashPart },
      accountId: { ...idPart },
      lastAt: moment,
    }) as Table<KnownDeviceRow>,
    SignedInSession: sequelize.define(
      "signed_in_sessions",
      { sid: { ...hashPart }, expires: DataTypes.DATE, data: DataTypes.TEXT, publicId: uuid, accountId: uuid, device: longText },
      { timestamps: true },
    ) as Table<SignedInSessionRow>,
    SignInAttempt: sequelize.define("sign_in_attempts", {
      id: { ...counted },
      email: text,
      address: text,
      at: moment,
    }) as Table<SignInAttemptRow>,
  };
}
