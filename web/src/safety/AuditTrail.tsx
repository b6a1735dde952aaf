/** Who saw or changed health answers of a crew; never what they said. */
import { Box, Button, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import type { AuditEntry, CrewEntry } from "@kind-grip/core/api";
import { safetyApi } from "./api";

const SUBJECT: Readonly<Record<AuditEntry["subject"], string>> = {
  baseline: "Baseline",
  restriction: "Held out",
  clearance: "Clearance",
  referral: "Referral note",
  decision: "Decision",
  access: "Sign-in cards",
  export: "Export",
  report: "Symptom reports",
  run: "Runs",
};

export function AuditTrail({ crew, nameOf }: { crew: CrewEntry; nameOf(personId: string): string }) {
  const [page, setPage] = useState(0);
  const { data } = safetyApi.useAuditQuery({ crewId: crew.id, page }, { refetchOnMountOrArgChange: true });
  if (!data || data.total === 0) return null;
  const pages = Math.ceil(data.total / data.pageSize);
  const moment = (iso: string) => DateTime.fromISO(iso, { zone: crew.timeZone }).toFormat("d LLL HH:mm");
  return (
    <Box component="section" aria-label="Who saw or changed health answers" sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Typography variant="h2">Who saw or changed health answers</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        Which part, of whom, when, by whom. What was answered is not in this list.
      </Typography>
      <Box
        component="table"
        sx={{
          borderCollapse: "collapse",
          width: "100%",
          maxWidth: 980,
          "& td, & th": { textAlign: "left", py: 0.75, pr: 2, borderBottom: "1px solid", borderColor: "line", verticalAlign: "top" },
        }}
      >
        <thead>
          <tr>
            <th>When</th>
            <th>Who</th>
            <th>What</th>
            <th>Of whom</th>
          </tr>
        </thead>
        <tbody>
          {data.entries.map((entry) => (
            <tr key={entry.id}>
              <td>{moment(entry.at)}</td>
              <td>{entry.by}</td>
              <td>
                {entry.act === "saw" ? "saw" : "changed"} {SUBJECT[entry.subject].toLowerCase()}: {entry.what}
                {entry.times > 1 && `, ${entry.times} times until ${moment(entry.lastAt)}`}
              </td>
              <td>{entry.personId ? nameOf(entry.personId) : "the crew"}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      {pages > 1 && (
        <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 1 }}>
          <Button disabled={page === 0} onClick={() => setPage(page - 1)}>
            Newer
          </Button>
          <Typography>
            Page {page + 1} of {pages}
          </Typography>
          <Button disabled={page + 1 >= pages} onClick={() => setPage(page + 1)}>
            Older
          </Button>
        </Box>
      )}
    </Box>
  );
}
