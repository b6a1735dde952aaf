/** The report of a crew, and everything that can be taken out of it as open files. */
import { Box, Button, Typography } from "@mui/material";
import { Download } from "lucide-react";
import { t } from "../base/words";
import { useCrew } from "../crew/CrewFrame";
import type { WantedFile } from "../job/api";
import { FileButton } from "../job/FileButton";
import { CrewReport } from "./CrewReport";
import { programApi } from "../program/api";

export default function ReportPage() {
  const crew = useCrew();
  const [program] = programApi.useProgramsQuery(crew.id).data ?? [];
  const made: [label: string, wanted: WantedFile][] = [
    ...(program
      ? ([
          [t("Hand-out of the program, a page a session (PDF)"), { kind: "handOut", programId: program.id }],
          [t("Personal sheets, a page a person (PDF)"), { kind: "personalSheets", programId: program.id }],
        ] as [string, WantedFile][])
      : []),
    [t("Everything of this crew, health answers included (JSON)"), { kind: "crewExport", crewId: crew.id }],
  ];
  const files: [label: string, href: string][] = [
    [t("People (CSV)"), `/api/crews/${crew.id}/people.csv`],
    [t("Runs, a row a person and run (CSV)"), `/api/crews/${crew.id}/runs.csv`],
    [t("Day plan (iCalendar)"), `/api/crews/${crew.id}/calendar.ics`],
  ];
  return (
    <>
      <CrewReport crewId={crew.id} />
      <Box component="section" aria-label={t("Files")} sx={{ mt: 5, "@media print": { display: "none" } }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {t("Open files")}
        </Typography>
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {made.map(([label, wanted]) => (
            <li key={label}>
              <FileButton wanted={wanted} what={label} startIcon={<Download size={20} />}>
                {label}
              </FileButton>
            </li>
          ))}
          {files.map(([label, href]) => (
            <li key={href}>
              <Button component="a" href={href} startIcon={<Download size={20} />}>
                {label}
              </Button>
            </li>
          ))}
        </Box>
      </Box>
    </>
  );
}
