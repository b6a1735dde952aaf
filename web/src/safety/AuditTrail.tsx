/** Who saw or changed health answers of a crew; never what they said. */
import { Box, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import type { AuditEntry, CrewEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { LIST_WHEN_NARROW } from "../parts/narrow-table";
import { dateText } from "../base/dates";
import { Pages } from "../parts/Pages";
import { safetyApi } from "./api";

const SUBJECT: Readonly<Record<AuditEntry["subject"], string>> = {
  baseline: t("Baseline"),
  restriction: t("Held out"),
  clearance: t("Clearance"),
  referral: t("Referral note"),
  decision: t("Decision"),
  access: t("Sign-in cards"),
  export: t("Export"),
  report: t("Symptom reports"),
  run: t("Runs"),
  record: t("Everything of a person"),
  firstAid: t("First-aid book"),
  note: t("Notes"),
  signIn: t("Sign-ins"),
};

/** What stands in the trail as a code, in words; everything else is words already. */
const SAID: Readonly<Record<string, string>> = {
  progress: t("raised by one step"),
  hold: t("left as it is"),
  ease: t("made easier"),
  pauseAndRefer: t("paused, and referred"),
  "answered: giveBack": t("given back"),
  "answered: ease": t("made easier"),
  "answered: keepPaused": t("left paused"),
  "answered: refer": t("held out, and referred"),
  "late run: before": t("a late run counts"),
  "late run: mistake": t("a late run does not count"),
};

export function AuditTrail({ crew, nameOf }: { crew: CrewEntry; nameOf(personId: string): string }) {
  const [page, setPage] = useState(0);
  const { data } = safetyApi.useAuditQuery({ crewId: crew.id, page }, { refetchOnMountOrArgChange: true });
  if (!data || data.total === 0) return null;
  const pages = Math.ceil(data.total / data.pageSize);
  const moment = (iso: string) => dateText(DateTime.fromISO(iso, { zone: crew.timeZone }), "d LLL HH:mm");
  return (
    <Box
      component="section"
      aria-label={t("Who saw or changed health answers")}
      sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}
    >
      <Typography variant="h2">{t("Who saw or changed health answers")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {t("Which part, of whom, when, by whom. What was answered is not in this list.")}
      </Typography>
      <Box
        component="table"
        sx={{
          borderCollapse: "collapse",
          width: "100%",
          maxWidth: 980,
          "& td, & th": { textAlign: "left", py: 0.75, pr: 2, borderBottom: "1px solid", borderColor: "line", verticalAlign: "top" },
          ...LIST_WHEN_NARROW,
        }}
      >
        <thead>
          <tr>
            <th>{t("When")}</th>
            <th>{t("Who")}</th>
            <th>{t("What")}</th>
            <th>{t("Of whom")}</th>
          </tr>
        </thead>
        <tbody>
          {data.entries.map((entry) => (
            <tr key={entry.id}>
              <td data-head={t("When")}>{moment(entry.at)}</td>
              <td data-head={t("Who")}>{entry.by}</td>
              <td data-head={t("What")}>
                {entry.act === "saw" ? t("saw") : t("changed")} {SUBJECT[entry.subject].toLowerCase()}: {SAID[entry.what] ?? entry.what}
                {entry.times > 1 && t(", {{times}} times until {{lastAt}}", { times: entry.times, lastAt: moment(entry.lastAt) })}
              </td>
              <td data-head={t("Of whom")}>{entry.personId ? nameOf(entry.personId) : t("the crew")}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Pages page={page} pages={pages} onChange={setPage} />
    </Box>
  );
}
