/** Switching the style: the difference first, then the choice. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { LOAD_SCHOOLS, STRETCH_SCHOOLS, type LoadSchool, type StretchSchool } from "@kind-grip/core/library";
import { switchStyle, type SessionFigures } from "@kind-grip/core/program";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import { useEdit } from "./program-editor";

export function StyleDialog({ onClose }: { onClose(): void }) {
  const library = useLibrary();
  const words = useWords();
  const { program, change } = useEdit();
  const [stretch, setStretch] = useState<StretchSchool>(program.style.stretch);
  const [load, setLoad] = useState<LoadSchool>(program.style.load);
  const [keepOwn, setKeepOwn] = useState(true);
  const result = useMemo(() => switchStyle(library, program, { stretch, load }, keepOwn), [library, program, stretch, load, keepOwn]);
  const sameStyle = stretch === program.style.stretch && load === program.style.load;
  const apply = () => {
    if (!sameStyle) change(result.program);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="style-title" maxWidth="md" fullWidth>
      <DialogTitle id="style-title">{t("Style of dosing")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5 }}>
        <Box>
          <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{t("How to stretch")}</Typography>
          <Choice<StretchSchool>
            label={t("How to stretch")}
            value={stretch}
            onChange={setStretch}
            options={STRETCH_SCHOOLS.map((value) => ({ value, label: words.label("stretchSchool", value) }))}
          />
        </Box>
        <Box>
          <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{t("How to load")}</Typography>
          <Choice<LoadSchool>
            label={t("How to load")}
            value={load}
            onChange={setLoad}
            options={LOAD_SCHOOLS.map((value) => ({ value, label: words.label("loadSchool", value) }))}
          />
        </Box>
        <Box>
          <Toggle label={t("Keep doses I set by hand")} pressed={keepOwn} onChange={setKeepOwn} />
        </Box>
        <Box
          component="table"
          sx={{
            borderCollapse: "collapse",
            width: "100%",
            "& th, & td": { textAlign: "left", py: 0.75, pr: 2, borderBottom: "1px solid", borderColor: "line" },
            "& th": { fontWeight: 650 },
          }}
        >
          <thead>
            <tr>
              <th scope="col">{t("Session")}</th>
              <th scope="col">{t("Time")}</th>
              <th scope="col">{t("Under tension")}</th>
              <th scope="col">{t("Repetitions")}</th>
            </tr>
          </thead>
          <tbody>
            {result.sessions.map((session) => (
              <tr key={session.sessionId}>
                <th scope="row">{session.name}</th>
                {(["totalSec", "tensionSec", "repetitions"] as const).map((figure) => (
                  <td key={figure}>
                    <Difference before={session.before} after={session.after} figure={figure} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
        <Box role="status">
          <Typography sx={{ fontWeight: 700 }}>
            {sameStyle
              ? t("This is the style of the program.")
              : result.doses.length === 0
                ? t("No dose changes.")
                : t("{{count}} doses change", { count: result.doses.length, defaultValue_one: "{{count}} dose changes" })}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {!sameStyle &&
              result.doses.map((dose) => (
                <li key={dose.itemId}>
                  {words.movementName(dose.movementId)}: {words.dose(dose.before)} → <strong>{words.dose(dose.after)}</strong>
                  {dose.ownDose && ` ${t("(set by hand)")}`}
                </li>
              ))}
          </Box>
        </Box>
        {!sameStyle && result.kept.length > 0 && (
          <Box component="section" aria-labelledby="style-kept">
            <Typography id="style-kept" sx={{ fontWeight: 700 }}>
              {t("Set by hand: {{count}} doses stay", {
                count: result.kept.length,
                defaultValue_one: "Set by hand: {{count}} dose stays",
              })}
            </Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {result.kept.map(({ itemId, movementId, dose }) => (
                <li key={itemId}>
                  {words.movementName(movementId)}: {words.dose(dose)}
                </li>
              ))}
            </Box>
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Leave as it is")}</Button>
        <Button variant="contained" onClick={apply} disabled={sameStyle}>
          {t("Switch the style")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Difference({ before, after, figure }: { before: SessionFigures; after: SessionFigures; figure: keyof SessionFigures }) {
  const text = (value: number) => (figure === "repetitions" ? String(value) : durationText(value));
  if (before[figure] === after[figure]) return text(before[figure]);
  const more = after[figure] > before[figure];
  return (
    <>
      {text(before[figure])} → <strong>{text(after[figure])}</strong>{" "}
      <Box component="span" sx={{ color: "text.secondary" }}>
        ({more ? "+" : "−"}
        {text(Math.abs(after[figure] - before[figure]))})
      </Box>
    </>
  );
}
