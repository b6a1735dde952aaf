/** Valid answers of the server, for component tests; each can be changed where it matters. */
import type { CrewEntry, PersonAlert, PersonEntry, ProgramEntry, Today, TodayEntry, WaitingDecision } from "@kind-grip/core/api";
import { patternPreset } from "@kind-grip/core/calendar";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Session, ShiftSession } from "@kind-grip/core/session";

let counted = 0;
/** Ids that tell things apart and nothing else. */
export const sampleId = (): string => `00000000-0000-7000-8000-${String(++counted).padStart(12, "0")}`;

export const NOW = "2026-03-26T09:00:00.000Z";

export const sampleCrew = (change: Partial<CrewEntry> = {}): CrewEntry => ({
  id: sampleId(),
  version: 1,
  name: "Slate crew",
  trade: "Roofing",
  place: "Yard",
  timeZone: "UTC",
  settings: ["any"],
  conditions: [],
  slots: { preShift: 480, break: 180, postShift: 840 },
  kit: [],
  mostOffJob: 4,
  language: null,
  shiftPattern: patternPreset("weekdays", "2026-03-02"),
  ...change,
});

export const samplePerson = (change: Partial<PersonEntry> = {}): PersonEntry => ({
  id: sampleId(),
  version: 1,
  name: "Ann Early",
  badge: null,
  handedness: "right",
  startedOn: "2024-01-01",
  leftOn: null,
  language: null,
  ...change,
});

export const sampleSession = (
  movementIds: readonly string[] = ["shake-out", "palm-away"],
  change: Partial<ShiftSession> = {},
): ShiftSession => ({
  id: sampleId(),
  name: "Warm-up",
  slot: "preShift",
  items: movementIds.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())),
  ...change,
});

export const sampleProgram = (crewId: string, sessions: Session[] = [sampleSession()]): ProgramEntry => ({
  id: sampleId(),
  crewId,
  version: 1,
  changedAt: NOW,
  program: { name: "Slate hands", style: DEFAULT_STYLE, weeks: 4, sessions },
});

export const sampleEntry = (change: Partial<TodayEntry> = {}): TodayEntry => ({
  placementId: sampleId(),
  crewId: sampleId(),
  crewName: "Slate crew",
  place: "Yard",
  timeZone: "UTC",
  programId: sampleId(),
  sessionId: sampleId(),
  sessionName: "Warm-up",
  slot: "preShift",
  movementIds: ["shake-out"],
  startsAt: "2026-03-26T09:11:00.000Z",
  totalSec: 300,
  people: 12,
  groupName: null,
  groupPeople: null,
  runId: null,
  shortKit: [],
  ...change,
});

export const sampleToday = (change: Partial<Today> = {}): Today => ({
  now: NOW,
  crews: [],
  entries: [],
  heldOut: [],
  endingSoon: [],
  decisions: [],
  alerts: [],
  clashes: [],
  ...change,
});

export const sampleAlert = (change: Partial<PersonAlert> = {}): PersonAlert => ({
  crewId: sampleId(),
  crewName: "Slate crew",
  timeZone: "UTC",
  personId: sampleId(),
  name: "Ann Early",
  pauses: true,
  heldOut: false,
  reports: [
    {
      alertId: sampleId(),
      cause: "report",
      kind: "tingling",
      side: "left",
      regions: ["thumbBase"],
      movementId: null,
      words: null,
      at: "2026-03-26T08:50:00.000Z",
      level: null,
      pauses: true,
      answer: null,
    },
  ],
  ...change,
});

export function sampleDecision(change: Partial<WaitingDecision> = {}): WaitingDecision {
  const item = newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId());
  const present = { formId: item.formId, dose: item.dose, loadKg: null };
  return {
    personId: sampleId(),
    name: "Ann Early",
    programId: sampleId(),
    itemId: item.id,
    movementId: item.movementId,
    was: present,
    response: {
      kind: "progress",
      fired: [{ rule: "readyForMore", runs: 3, highestEffort: 2, cap: 3, margin: 1 }],
      next: present,
      raised: "dose",
      largeStep: false,
    },
    runs: [],
    mornings: [],
    usualLevel: 1,
    ...change,
  };
}
