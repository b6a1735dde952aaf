/** Everything of a crew that can be taken out as open files. */
import { Box, Button, Typography } from "@mui/material";
import { Download } from "lucide-react";
import type { CrewEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import type { WantedFile } from "../job/api";
import { FileButton } from "../job/FileButton";
import { baselineApi, roundsOfCrew } from "../baseline/api";
import { programApi } from "../program/api";

export function CrewFiles({ crew, title = t("Open files") }: { crew: Pick<CrewEntry, "id">; title?: string }) {
  const programs = programApi.useProgramsQuery(crew.id).data ?? [];
  const rounds = roundsOfCrew(baselineApi.useRoundsQuery(crew.id).data) ?? [];
  const made: [label: string, wanted: WantedFile][] = [
    ...programs.flatMap(({ id, program: { name } }): [string, WantedFile][] => [
      [t("{{name}}: hand-out, a page a session (PDF)", { name }), { kind: "handOut", programId: id }],
      [t("{{name}}: personal sheets, a page a person (PDF)", { name }), { kind: "personalSheets", programId: id }],
    ]),
    [t("Everything of this crew, health answers included (JSON)"), { kind: "crewExport", crewId: crew.id }],
  ];
  const files: [label: string, href: string][] = [
    [t("People (CSV)"), `/api/crews/${crew.id}/people.csv`],
    [t("Runs, a row a person and run (CSV)"), `/api/crews/${crew.id}/runs.csv`],
    ...rounds
      .filter(({ begun }) => begun > 0)
      .map(({ id, name }): [string, string] => [t("{{name}}, a row a person (CSV)", { name }), `/api/rounds/${id}/records.csv`]),
    [t("Day plan (iCalendar)"), `/api/crews/${crew.id}/calendar.ics`],
  ];
  return (
    <Box component="section" aria-label={title} sx={{ mt: 5, "@media print": { display: "none" } }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {made.map(([label, wanted]) => (
          <li key={`${wanted.kind} ${"programId" in wanted ? wanted.programId : ""}`}>
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
  );
}
