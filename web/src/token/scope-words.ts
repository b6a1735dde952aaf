/** What the scopes of a token are called, by subject: each is read, and some are changed. */
import type { Scope } from "@kind-grip/core/api";
import { t } from "../base/words";

interface ScopeSubject {
  name: string;
  what: string;
  read: Scope;
  write?: Scope;
}

export const scopeSubjects = (): ScopeSubject[] => [
  { name: t("Crews"), what: t("Who is in them, who is away, who is coming back"), read: "crews.read", write: "crews.write" },
  { name: t("Work"), what: t("Tasks of a shift and what was observed of them"), read: "work.read", write: "work.write" },
  {
    name: t("Programs and movements"),
    what: t("With the forms people have in them, and hand-outs"),
    read: "programs.read",
    write: "programs.write",
  },
  { name: t("Day plan"), what: t("Weeks, bookings, the calendar"), read: "plan.read", write: "plan.write" },
  { name: t("Sessions that were led"), what: t("Who was there and what was done"), read: "sessions.read" },
  { name: t("Reports"), what: t("Figures of a crew, never of a person"), read: "reports.read" },
  { name: t("Health answers"), what: t("Of people by name: records, measurements, what keeps them out, Today"), read: "health.read" },
];

/** In the order of the subjects: "read Crews", "change Day plan". */
export function scopeTexts(scopes: readonly Scope[]): string[] {
  return scopeSubjects().flatMap(({ name, read, write }) => {
    const reads = scopes.includes(read);
    const writes = write !== undefined && scopes.includes(write);
    if (reads && writes) return [t("{{subject}}: read and change", { subject: name })];
    if (reads) return [t("{{subject}}: read", { subject: name })];
    return writes ? [t("{{subject}}: change", { subject: name })] : [];
  });
}
