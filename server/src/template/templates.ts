/** Templates of a practice: programs without people, first day or health data in them. */
import type { NewTemplate, TemplateEntry } from "@kind-grip/core/api";
import { programProblems, type Program } from "@kind-grip/core/program";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import type { TemplateRow } from "./tables";

/** A practice that keeps more looks for none of them. */
const MOST_TEMPLATES = 100;

const answer = ({ id, name, why, document, keptAt }: TemplateRow): TemplateEntry => ({
  id,
  name,
  why,
  keptAt: keptAt.toISOString(),
  program: document,
});

/** By name. */
export async function listTemplates(db: Db, caller: Caller): Promise<TemplateEntry[]> {
  const rows = await db.models.Template.findAll({ where: { practiceId: caller.practiceId, removedAt: null }, order: [["name", "ASC"]] });
  return rows.map((row) => answer(row.get({ plain: true })));
}

/** The same request twice keeps it once. @throws Problem 400 with the fields, 404 for another practice's id */
export async function keepTemplate(db: Db, caller: Caller, { id, name, why, program }: NewTemplate): Promise<TemplateEntry> {
  return inTransaction(db, async (transaction) => {
    const library = await practiceLibrary(db, caller.practiceId, transaction);
    const document = withoutPeople(program);
    const problems = programProblems(library, document).map(({ path, message }) => ({ path: `program.${path}`, message }));
    const kept = await db.models.Template.count({ where: { practiceId: caller.practiceId, removedAt: null }, transaction });
    if (kept >= MOST_TEMPLATES) problems.push({ path: "name", message: `a practice keeps at most ${MOST_TEMPLATES} templates` });
    if (problems.length > 0) throw invalid(problems);
    const [row] = await db.models.Template.findOrCreate({
      where: { id },
      defaults: { id, practiceId: caller.practiceId, name, why, document, keptAt: new Date(), removedAt: null },
      transaction,
    });
    if (row.get().practiceId !== caller.practiceId) throw notFound("template");
    return answer(row.get({ plain: true }));
  });
}

/** Taken out, or brought back. */
export async function setTemplateRemoved(db: Db, caller: Caller, id: string, removed: boolean): Promise<void> {
  const found = await db.models.Template.findOne({ where: { id, practiceId: caller.practiceId } });
  if (!found) throw notFound("template");
  await found.update({ removedAt: removed ? new Date() : null });
}

/** Whoever sends it: what a template keeps tells nothing of anybody. */
function withoutPeople(program: Program): Program {
  const { settlingFrom: _, lighterWeeks: __, ...kept } = program;
  return {
    ...kept,
    sessions: program.sessions.map((session) => ({ ...session, items: session.items.map((item) => ({ ...item, personal: {} })) })),
  };
}
