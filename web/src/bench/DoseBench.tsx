/** One movement in every school: its dose, time, seconds under tension and repetitions side by side. */
import { Box, Typography } from "@mui/material";
import { useState } from "react";
import { DEFAULT_STYLE, doseFor, LOAD_SCHOOLS, newItem, STRETCH_SCHOOLS, type Style } from "@kind-grip/core/library";
import { boutsOf, compilePerson, type Dose } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { LIST_WHEN_NARROW } from "../parts/narrow-table";
import { useLibrary, useWords } from "../base/library";
import { MovementPick } from "./MovementPick";
import { SendToProgram } from "./SendToProgram";

const START = "palm-away";

export function DoseBench() {
  const library = useLibrary();
  const words = useWords();
  const [movementId, setMovementId] = useState(START);
  const movement = library.get(movementId);
  const load = movement.phase === "strengthen";
  const schools = load ? LOAD_SCHOOLS : STRETCH_SCHOOLS;
  const rows = schools.map((school) => {
    const style: Style = load
      ? { ...DEFAULT_STYLE, load: school as Style["load"] }
      : { ...DEFAULT_STYLE, stretch: school as Style["stretch"] };
    const dose = doseFor(movement, style);
    const item = newItem(movement, style, "00000000-0000-7000-8000-00000000d05e");
    const totalSec = compilePerson({ id: "-", name: "-", slot: "break", items: [item] }, library.timings).totalSec;
    return { school, own: movement.doses[school] !== undefined, dose, totalSec, ...sideTotals(dose) };
  });
  const most = Math.max(...rows.map(({ totalSec }) => totalSec));
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 3 }}>
      <MovementPick value={movementId} onChange={setMovementId} />
      <Box
        component="table"
        sx={{
          borderCollapse: "collapse",
          width: "100%",
          maxWidth: 1080,
          "& td, & th": { textAlign: "left", p: 1, borderBottom: "1px solid", borderColor: "line", verticalAlign: "middle" },
          ...LIST_WHEN_NARROW,
        }}
      >
        <thead>
          <tr>
            <th>{t("School")}</th>
            <th>{t("Dose")}</th>
            <th style={{ width: "30%" }}>{t("Time, both sides")}</th>
            <th>{t("Under tension a side")}</th>
            <th>{t("Repetitions a side")}</th>
            <th aria-label={t("Use")}></th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ school, own, dose, totalSec, tensionSec, reps }) => (
            <tr key={school}>
              <td>
                <strong>{words.label(load ? "loadSchool" : "stretchSchool", school)}</strong>
              </td>
              <td data-head={t("Dose")}>
                {words.dose(dose)}
                {!own && (
                  <Typography component="span" sx={{ color: "text.secondary" }}>
                    {" "}
                    {t("(its usual dose)")}
                  </Typography>
                )}
              </td>
              <td data-head={t("Time, both sides")}>
                <Box sx={{ display: "flex", gap: 1, alignItems: "center", flex: 1 }}>
                  <Box sx={{ width: `${(totalSec / most) * 70}%`, height: 16, bgcolor: "primary.main", borderRadius: 1 }} />
                  <strong>{durationText(totalSec)}</strong>
                </Box>
              </td>
              <td data-head={t("Under tension a side")}>{Math.round(tensionSec)} s</td>
              <td data-head={t("Repetitions a side")}>{reps === 0 ? "–" : reps}</td>
              <td>
                <SendToProgram what="it" fits={(item) => item.movementId === movementId} change={(item) => ({ ...item, dose })} />
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function sideTotals(dose: Dose): { tensionSec: number; reps: number } {
  const { count, tensionSec, repsPerBout } = boutsOf(dose);
  return { tensionSec: count * tensionSec, reps: count * repsPerBout };
}
