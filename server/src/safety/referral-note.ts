/** A page for the person to take to a clinician: what was said and what is felt, in plain words, with room for the answer. */
import { dateAt } from "@kind-grip/core/calendar";
import { wordsOf } from "@kind-grip/core/language";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { consequenceOf } from "@kind-grip/core/safety";
import type { Content } from "pdfmake/interfaces";
import type { Db } from "../db/connection";
import { customsOf } from "../practice/customs";
import type { RestrictionRow } from "./tables";
import { LINE, pdfOf, QUIET, SPRUCE, WARM } from "../http/pdf";

export async function referralNote(db: Db, restriction: RestrictionRow, at: Date): Promise<Buffer> {
  const [person, crew, record] = await Promise.all([
    db.models.Person.findByPk(restriction.personId, { rejectOnEmpty: true }),
    db.models.Crew.findByPk(restriction.crewId, { rejectOnEmpty: true }),
    restriction.roundId ? db.models.Baseline.findOne({ where: { roundId: restriction.roundId, personId: restriction.personId } }) : null,
  ]);
  const { practiceId } = (await db.models.Account.findByPk(crew.get().trainerId, { rejectOnEmpty: true })).get();
  // For a clinician of the place: what the practice reads, whatever the person does.
  const { language, measures } = await customsOf(db, practiceId);
  const words = wordsOf(SHIPPED_LIBRARY, language, measures);
  const { name } = person.get();
  const { timeZone } = crew.get().detail;
  const day = (moment: Date) => words.dateName(dateAt(moment.getTime(), timeZone));
  const question = consequenceOf(restriction.question);
  const emergency = question.kind === "stop" && question.emergency;
  const line: Content = {
    canvas: [{ type: "line", x1: 0, y1: 0, x2: 485, y2: 0, lineWidth: 0.7, lineColor: LINE }],
    margin: [0, 12, 0, 12],
  };
  const felt = (record?.get().document.symptoms ?? []).map(({ side, region, kind, level, since, nights, constant }) =>
    words.list([
      words.referral("feltThere", {
        side: words.label("side", side),
        place: words.within(words.label("region", region)),
        kind: words.within(words.symptomKind(kind)),
        level,
      }),
      ...(since ? [words.referral("feltSince", { day: words.dateName(since) })] : []),
      ...(constant ? [words.referral("constant")] : []),
      ...(nights === "never" ? [] : [words.within(words.nights(nights))]),
    ]),
  );
  const content: Content[] = [
    { text: words.referral("title"), fontSize: 26, bold: true, color: SPRUCE },
    { text: `${name} · ${day(at)}`, fontSize: 13, color: QUIET, margin: [0, 2, 0, 14] },
    ...(emergency ? [{ text: words.referral("emergency"), bold: true, fontSize: 15, color: WARM, margin: [0, 0, 0, 12] } as Content] : []),
    { text: words.referral("opening", { name, date: day(restriction.since) }), margin: [0, 0, 0, 6] },
    {
      ul: [restriction.words ?? words.referral("answeredYes", { question: words.safety(restriction.question).ask })],
      margin: [0, 0, 0, 10],
      bold: true,
      fontSize: 14,
    },
    ...(felt.length > 0
      ? ([
          { text: words.referral("felt"), bold: true },
          { ul: felt, margin: [0, 2, 0, 10] },
        ] as Content[])
      : []),
    { text: words.referral("request", { name, items: words.referral(question.kind === "stop" ? "everything" : "someItems") }) },
    line,
    { text: words.referral("answer"), bold: true, fontSize: 14, margin: [0, 0, 0, 10] },
    { text: words.referral("mayDo"), margin: [0, 0, 0, 22] },
    { text: words.referral("until"), margin: [0, 0, 0, 34] },
    { canvas: [{ type: "line", x1: 0, y1: 0, x2: 485, y2: 0, lineWidth: 0.7 }] },
    { text: words.referral("signed"), fontSize: 10, color: QUIET, margin: [0, 3, 0, 0] },
    line,
    { text: words.referral("notDiagnosis"), fontSize: 10, color: QUIET },
    { text: words.paper("prevention"), fontSize: 10, color: QUIET },
  ];
  return pdfOf({ language, pageMargins: [55, 55, 55, 50], info: { title: words.referral("title") }, content });
}
