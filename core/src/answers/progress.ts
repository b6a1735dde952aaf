import type { PersonFollowUp, RunFollowUp } from "../followup";
import type { Present, Response } from "../response";

export interface WaitingDecision {
  personId: string;
  name: string;
  programId: string;
  itemId: string;
  movementId: string;
  was: Present;
  response: Response;
  /** For the small chart: efforts of the runs and levels of the mornings that count. */
  runs: { day: string; effort: number | null; status: string; marks: number }[];
  mornings: { day: string; level: number }[];
  usualLevel: number;
}

export interface Progress {
  days: number;
  runs: (RunFollowUp & { sessionName: string })[];
  people: (PersonFollowUp & { name: string })[];
  /** Efforts given in the time shown, counted by value 0 to 10. */
  efforts: number[];
}
