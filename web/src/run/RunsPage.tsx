/** The runs of a crew, newest first. */
import { Box, Button, Typography } from "@mui/material";
import { Download } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link } from "react-router";
import type { RunSummary } from "@kind-grip/core/run";
import { durationText } from "@kind-grip/core/units";
import { fixedText } from "../base/measures";
import { runsText } from "../base/amounts";
import { t } from "../base/words";
import { LIST_WHEN_NARROW } from "../parts/narrow-table";
import { dateText } from "../base/dates";
import { runApi } from "./api";
import { useWords } from "../base/library";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";

export default function RunsPage() {
  const crew = useCrew();
  const [page, setPage] = useState(0);
  const query = runApi.useRunsQuery({ crewId: crew.id, page });
  return (
    <Loaded query={query} keepShown>
      {({ runs, total, pageSize }) => (
        <>
          <PageTitle title={total === 0 ? t("Runs") : runsText(total)}>
            {total > 0 && (
              <Button component="a" href={`/api/crews/${crew.id}/runs.csv`} startIcon={<Download size={20} />}>
                {t("CSV")}
              </Button>
            )}
          </PageTitle>
          {total === 0 ? (
            <Empty
              title={t("No run yet")}
              text={t("Every session you lead leaves its record here: who was there, how hard it felt, what was done.")}
            >
              <Button component={Link} to={`/crews/${crew.id}/day-plan`} variant="contained">
                {t("Go to the day plan")}
              </Button>
            </Empty>
          ) : (
            <>
              <RunTable runs={runs} crewId={crew.id} timeZone={crew.timeZone} />
              {total > pageSize && (
                <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 2 }}>
                  <Button variant="outlined" disabled={page === 0} onClick={() => setPage(page - 1)}>
                    {t("Newer")}
                  </Button>
                  <Typography>
                    {t("{{first}}–{{last}} of {{total}}", {
                      first: page * pageSize + 1,
                      last: Math.min(total, (page + 1) * pageSize),
                      total,
                    })}
                  </Typography>
                  <Button variant="outlined" disabled={(page + 1) * pageSize >= total} onClick={() => setPage(page + 1)}>
                    {t("Older")}
                  </Button>
                </Box>
              )}
            </>
          )}
        </>
      )}
    </Loaded>
  );
}

function RunTable({ runs, crewId, timeZone }: { runs: RunSummary[]; crewId: string; timeZone: string }) {
  const words = useWords();
  return (
    <Box
      component="table"
      sx={{
        width: "100%",
        maxWidth: 1080,
        borderCollapse: "collapse",
        "& th, & td": { textAlign: "left", py: 1, pr: 2, borderTop: "1px solid", borderColor: "line" },
        "& thead th": { border: 0, color: "text.secondary", fontWeight: 600 },
        ...LIST_WHEN_NARROW,
      }}
    >
      <thead>
        <tr>
          <th scope="col">{t("When")}</th>
          <th scope="col">{t("Session")}</th>
          <th scope="col">{t("There")}</th>
          <th scope="col">{t("Effort, mean")}</th>
          <th scope="col">{t("Work done")}</th>
          <th scope="col">{t("Marks")}</th>
        </tr>
      </thead>
      <tbody>
        {runs.map((run) => (
          <tr key={run.id}>
            <td data-head={t("When")}>{dateText(DateTime.fromISO(run.startedAt, { zone: timeZone }), "ccc d LLL, HH:mm")}</td>
            <th scope="row">
              <Box component={Link} to={`/crews/${crewId}/runs/${run.id}`} sx={{ color: "inherit", fontWeight: 700 }}>
                {run.sessionName}
              </Box>{" "}
              <Box component="span" sx={{ fontWeight: 400, color: "text.secondary" }}>
                {words.label("slot", run.slot)}
              </Box>
            </th>
            <td data-head={t("There")}>{t("{{present}} of {{expected}}", { present: run.present, expected: run.expected })}</td>
            <td data-head={t("Effort, mean")}>
              <EffortBar effort={run.meanEffort} />
            </td>
            <td data-head={t("Work done")}>{durationText(run.doneSec)}</td>
            <td data-head={t("Marks")}>
              {run.marks > 0 ? (
                <Box component="strong" sx={{ color: "warm.dark" }}>
                  {run.marks}
                </Box>
              ) : (
                "–"
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** Effort 0 to 10 as a length; nothing where nobody answered. */
export function EffortBar({ effort }: { effort: number | null }) {
  if (effort === null) return "–";
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box sx={{ width: 36, fontWeight: 650 }}>{fixedText(effort, 1)}</Box>
      <Box aria-hidden sx={{ width: 110, height: 10, bgcolor: "line", borderRadius: 1 }}>
        <Box
          className="keeps-colour"
          sx={{ width: `${effort * 10}%`, height: "100%", bgcolor: effort > 5 ? "warm.main" : "primary.main", borderRadius: 1 }}
        />
      </Box>
    </Box>
  );
}
