import { type PersonDay, type ReportedSymptom } from "../followup";
import { blockFigures, measuredChanges } from ".";

const people = (count: number, from = 0) => Array.from({ length: count }, (_, i) => `p${from + i}`);
const day = (personId: string, date: string, change: Partial<PersonDay> = {}): PersonDay => ({
  personId,
  day: date,
  itemsDue: 4,
  itemsDone: 3,
  doneSec: 200,
  runs: 1,
  effortSum: 2,
  efforts: 1,
  marks: 0,
  ...change,
});

describe("blocks of four weeks", () => {
  it("add up their days and leave out what lies outside them", () => {
    const days = [...people(6).flatMap((id) => [day(id, "2026-02-16"), day(id, "2026-03-15")]), day("p0", "2026-03-16", { doneSec: 9999 })];
    const { figures, behind } = blockFigures("2026-02-16", { days, mornings: [] }, []);
    expect(figures).toEqual({
      people: 6,
      adherence: 0.75,
      secPerPersonDay: 198,
      meanEffort: 2,
      morningsRaised: null,
      minutesGiven: 40,
      reported: { people: null, regions: [] },
      workStrain: null,
      morningsChange: null,
    });
    expect(behind.adherence).toHaveLength(6);
  });
  it("withhold each figure by who stands behind that figure", () => {
    const days = people(6).map((id, i) => day(id, "2026-02-17", i < 2 ? { efforts: 0, effortSum: 0 } : {}));
    const { figures } = blockFigures("2026-02-16", { days, mornings: [] }, []);
    expect([figures.people, figures.meanEffort]).toEqual([6, null]);
  });
  it("count mornings as a share of answers, and changes from five people on", () => {
    const mornings = people(5).map((personId, i) => ({ personId, day: "2026-02-18", raised: i === 0 }));
    expect(blockFigures("2026-02-16", { days: [], mornings }, []).figures.morningsRaised).toBe(0.2);
    const change = (count: number) => people(count).map((personId) => ({ personId, measure: "grip" as const, change: 2 }));
    expect(measuredChanges(change(5), []).changes).toEqual([{ measure: "grip", people: 5, mean: 2, low: 2, high: 2 }]);
    expect(measuredChanges(change(4), []).changes).toEqual([]);
    // Six minus five would be the sixth.
    expect(measuredChanges(change(6), [{ grip: people(5) }]).changes).toMatchObject([{ people: 5 }]);
  });
  it("minutes given to all are rounded to one person's part", () => {
    const days = people(6).map((id, i) => day(id, "2026-02-17", { doneSec: 60 * (i === 0 ? 45 : 10) }));
    // 95 minutes, of which one person has 45: in steps of fifty.
    expect(blockFigures("2026-02-16", { days, mornings: [] }, []).figures.minutesGiven).toBe(100);
  });
  it("people who reported are counted from five on, by place, and none is not told from four", () => {
    const days = people(12).map((id) => day(id, "2026-02-17"));
    const told = (count: number, regions: ReportedSymptom["regions"]) =>
      people(count).flatMap((personId) => [1, 2].map((at) => ({ personId, day: `2026-02-2${at}`, regions })));
    const reportedBy = (reported: ReportedSymptom[]) => blockFigures("2026-02-16", { days, mornings: [], reported }, []).figures.reported;
    expect(reportedBy(told(4, ["thumbBase"]))).toEqual(reportedBy([]));
    expect(reportedBy(told(5, ["thumbBase"]))).toEqual({ people: 5, regions: [{ region: "thumbBase", people: 5 }] });
    expect(reportedBy([...told(7, ["wristFlexors"]), ...told(4, ["thumbBase"])])).toEqual({
      people: 7,
      regions: [{ region: "wristFlexors", people: 7 }],
    });
    const before = told(6, ["thumbBase"]).map((each) => ({ ...each, day: "2026-02-15" }));
    expect(reportedBy(before)).toEqual(reportedBy([]));
  });
  it("mornings change by person against the first block, of people who answered in both", () => {
    const morning = (personId: string, date: string, raised: boolean) => ({ personId, day: date, raised });
    const firstMornings = people(6).flatMap((id) => [morning(id, "2026-01-20", true), morning(id, "2026-01-21", false)]);
    const mornings = people(6, 1).flatMap((id) => [morning(id, "2026-02-18", false), morning(id, "2026-02-19", false)]);
    const { figures, behind } = blockFigures("2026-02-16", { days: [], mornings, firstMornings }, []);
    expect(figures.morningsChange).toEqual({ people: 5, mean: -0.5, low: -0.5, high: -0.5 });
    expect(behind.morningsChange).toEqual(people(5, 1));
    expect(blockFigures("2026-02-16", { days: [], mornings }, []).figures.morningsChange).toBeNull();
  });
  it("strain of the work is told as it was described, to a tenth", () => {
    expect(blockFigures("2026-02-16", { days: [], mornings: [], workStrain: 23.456 }, []).figures.workStrain).toBe(23.5);
  });
});
