/**
 * For whoever runs the server, while it runs: who can sign in, a way back for who cannot, the first day, settings.
 * bin/admin help | health | practices | people | practice … | trainer … | password E-MAIL | first | leave … | come FILE | keys | new-key | reencrypt | migrations | settings [--data DIR] [--address URL]
 */
import { appendFileSync, existsSync, readFileSync } from "node:fs";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { EmailAddress } from "@kind-grip/core/contact";
import type { Model, ModelStatic } from "sequelize";
import * as v from "valibot";
import { makeFirstLink, makePasswordLink, makeTrainerLink, pathOf } from "./auth/one-time-links";
import { connect, type Db } from "./db/connection";
import { DataKeys, newKey } from "./db/data-keys";
import { encryptedTables } from "./db/encrypted";
import { provenKeys } from "./db/key-proofs";
import { underNewestKey } from "./db/rewrite-encrypted";
import { ranMigrations } from "./db/migrate";
import { bringPractice } from "./practice-file/read";
import { writePractice } from "./practice-file/write";
import { dataKeysOf, keysFileIn, runCommand } from "./start/command";
import { healthByPart } from "./health/parts";
import { setting, settingLines } from "./start/settings";
import { surroundingsOf } from "./start/surroundings";

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");

interface Asked {
  db: Db;
  words: readonly string[];
  data: string;
  address: string;
}

async function invited({ db, words, address }: Asked, isNew: boolean): Promise<string[]> {
  const [practice, email, name] = words.map((word) => word.trim());
  const read = v.safeParse(EmailAddress, email);
  if (!practice || !name || !read.success)
    throw new Error(
      `Say it so: bin/admin ${isNew ? "practice" : "trainer"} "Fernhollow Hand Works" somebody@practice.example "Maren Holt"`,
    );
  const token = await makeTrainerLink(db, { practice, isNew, email: read.output, name }, new Date());
  return [`For ${name}, once, within two weeks:`, address + pathOf(token)];
}

/** @returns what is printed; rejects with what is to be said where it cannot be done */
const COMMANDS: Readonly<Record<string, { about: string; run(asked: Asked): Promise<string[]> }>> = {
  health: {
    about: "how each part is: database, disk, what waits, mail, backups; ends with 1 where one is not well",
    async run({ db, data }) {
      const parts = await healthByPart(db, surroundingsOf(setting("DATABASE_URL") ? undefined : data));
      if (!parts.every(({ isWell }) => isWell)) process.exitCode = 1;
      return parts.map(({ part, isWell, says }) => `${isWell ? "well    " : "NOT WELL"}  ${part}: ${says}`);
    },
  },
  practices: {
    about: "the practices here, with their trainers and crews counted",
    async run({ db: { models } }) {
      const practices = await models.Practice.findAll({ order: ["name"] });
      return Promise.all(
        practices.map(async (row) => {
          const { id, name, demoNow } = row.get();
          const trainers = await models.Account.findAll({ where: { practiceId: id, role: "trainer" }, attributes: ["id"] });
          const crews = await models.Crew.count({ where: { trainerId: trainers.map((trainer) => trainer.get().id), removedAt: null } });
          return `${name}${demoNow ? " (demo)" : ""}: ${trainers.length} trainers, ${crews} crews`;
        }),
      );
    },
  },
  people: {
    about: "everybody who signs in with a password",
    async run({ db: { models } }) {
      const [accounts, practices] = await Promise.all([models.Account.findAll({ order: ["email"] }), models.Practice.findAll()]);
      const named = new Map(practices.map((row) => [row.get().id, row.get().name]));
      return accounts.map((row) => {
        const { email, name, role, practiceId, firstSignInAt } = row.get();
        return `${email}  ${name}, ${role} of ${named.get(practiceId) ?? "?"}${firstSignInAt ? "" : ", never signed in"}`;
      });
    },
  },
  practice: {
    about: "NAME E-MAIL TRAINER: one more practice; a one-time address at which its first trainer begins",
    run: (asked) => invited(asked, true),
  },
  trainer: {
    about: "PRACTICE E-MAIL NAME: a one-time address at which one more trainer of a practice begins",
    run: (asked) => invited(asked, false),
  },
  password: {
    about: "E-MAIL: a one-time address at which they choose a new password, good for a day",
    async run({ db, words: [email], address }) {
      if (!email) throw new Error("Say whose: bin/admin password somebody@practice.example");
      const made = await makePasswordLink(db, email.trim().toLowerCase(), new Date());
      if (!made) throw new Error(`Nobody signs in with ${email}. bin/admin people lists who does.`);
      return [`For ${made.account.name}, once, within a day:`, address + pathOf(made.token)];
    },
  },
  first: {
    about: "the one-time address at which the first trainer begins, while there is no practice",
    async run({ db, address }) {
      const token = await makeFirstLink(db, new Date());
      if (!token) throw new Error("There is a practice already. A trainer of it invites others; bin/admin password makes a way back.");
      return ["The first trainer begins here, once, within 30 days:", address + pathOf(token)];
    },
  },
  leave: {
    about: "PRACTICE FILE.zip: everything of a practice as open files, to come in again elsewhere (docs/formats/practice.md)",
    async run({ db, words: [name, file] }) {
      if (!name || !file) throw new Error('Say it so: bin/admin leave "Fernhollow Hand Works" fernhollow.zip');
      const folder = path.dirname(path.resolve(file));
      if (!existsSync(folder)) throw new Error(`${folder} is not here. Make it, or name a file in a folder that is.`);
      const found = await db.models.Practice.findAll({ where: { name }, attributes: ["id"] });
      if (found.length !== 1) throw new Error(`${found.length} practices are named ${name}. bin/admin practices lists them.`);
      const { tables } = await writePractice(db, found[0]!.get().id, path.resolve(file), new Date());
      const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
      return [`${file}: ${Object.keys(tables).length} tables, ${rows} rows. Health answers in it are not encrypted: keep it accordingly.`];
    },
  },
  come: {
    about: "FILE.zip: a practice that left elsewhere; one-time addresses at which its trainers choose a password",
    async run({ db, words: [file], address }) {
      if (!file) throw new Error("Say which: bin/admin come fernhollow.zip");
      if (!existsSync(path.resolve(file))) throw new Error(`${path.resolve(file)} is not here.`);
      const { name, rows, trainers } = await bringPractice(db, path.resolve(file));
      const lines = [`${name} is here, ${rows} rows. Each of its trainers chooses a password, once, within a day:`];
      for (const email of trainers) lines.push(`${email}  ${address}${pathOf((await makePasswordLink(db, email, new Date()))!.token)}`);
      return [...lines, "Crew members need new cards."];
    },
  },
  keys: {
    about: "the data keys health answers are encrypted with, the newest last",
    async run({ db }) {
      const known = await provenKeys(db.sequelize);
      const newestKnown = Math.max(...db.keys.ids.map((id, i) => (known.includes(id) ? i : -1)));
      return db.keys.ids.map((id, i) => {
        if (known.includes(id)) return id;
        return i < newestKnown ? `${id}, for backups from before alone` : `${id}, not used yet: start every server with it`;
      });
    },
  },
  "new-key": {
    about: "one more data key: the servers encrypt with it once they are started again",
    run({ data }) {
      if (setting("DATA_KEYS"))
        return Promise.resolve(["Put this behind the others in DATA_KEYS of every server, and start them again:", newKey()]);
      const file = keysFileIn(data);
      if (!existsSync(file)) throw new Error(`${file} is not here`);
      appendFileSync(file, `${newKey()}\n`);
      return Promise.resolve([`${file} has one more. Start the server again, then bin/admin reencrypt.`]);
    },
  },
  reencrypt: {
    about: "writes everything that is encrypted under the newest data key, while the servers run",
    async run({ db }) {
      const { currentId } = db.keys;
      if (!currentId || !(await provenKeys(db.sequelize)).includes(currentId))
        throw new Error("No server was started with the newest data key yet: it could not read what is written with it.");
      const changed = await underNewestKey(db.sequelize, db.keys, encryptedTables(Object.values(db.models) as ModelStatic<Model>[]));
      return [`${changed} values are under ${currentId} now. Keep the older keys as long as backups from before are kept.`];
    },
  },
  migrations: {
    about: "which steps the database has been through",
    run: ({ db }) => ranMigrations(db),
  },
};

const HELP = [
  "bin/admin, while the server runs:",
  ...Object.entries(COMMANDS).map(([name, { about }]) => `  ${name.padEnd(12)}${about}`),
  `  ${"settings".padEnd(12)}every setting with its value and where it came from`,
  "Options: --data DIR (as for bin/start), --address URL (what printed addresses begin with)",
];

/** None where they are elsewhere, for what reads nothing encrypted. */
const keysOf = (data: string): DataKeys => (setting("DATA_KEYS") || existsSync(keysFileIn(data)) ? dataKeysOf(data) : DataKeys.none());

async function main(): Promise<string[]> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      data: { type: "string", default: path.join(root, ".data") },
      address: { type: "string", default: setting("PUBLIC_ADDRESS") || `http://127.0.0.1:${setting("PORT")}` },
    },
  });
  const [name = "help", ...words] = positionals;
  if (name === "help") return HELP;
  if (name === "settings") return settingLines();
  const command = COMMANDS[name];
  if (!command) throw new Error([`There is no "${name}".`, ...HELP].join("\n"));
  const kept = path.join(values.data, "mariadb", "url");
  const url = setting("DATABASE_URL") || (existsSync(kept) ? readFileSync(kept, "utf8").trim() : "");
  if (!url) throw new Error(`No server runs on ${values.data}. Start it first, or name its database in DATABASE_URL.`);
  const db = connect(url, keysOf(values.data));
  try {
    return await command.run({ db, words, data: values.data, address: values.address.replace(/\/$/, "") });
  } finally {
    await db.sequelize.close();
  }
}

runCommand(main);
