/** What somebody felt in a run that is being led: kept in the browser until the server has confirmed it, and sent before anything else. */
import type { SymptomReport } from "@kind-grip/core/safety";

export interface WaitingReport {
  crewId: string;
  personId: string;
  report: SymptomReport;
}

const KEY = "kind-grip.report-outbox";
export const REPORT_PUT = "kind-grip-report-put";

export function putReport(waiting: WaitingReport): void {
  localStorage.setItem(KEY, JSON.stringify([...reportsWaiting(), waiting]));
  dispatchEvent(new Event(REPORT_PUT));
}

export function reportsWaiting(): WaitingReport[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "[]") as WaitingReport[];
  } catch {
    return [];
  }
}

export function dropReport(reportId: string): void {
  localStorage.setItem(KEY, JSON.stringify(reportsWaiting().filter(({ report }) => report.id !== reportId)));
}
