/** The weeks ahead if all goes well: one thing raised at a time, and where it will stop. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { weeksAhead, type Week } from "@kind-grip/core/program";
import { doseText, type Session } from "@kind-grip/core/session";
import { listText, massText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";

const LEAST_WEEKS = 4;

interface WeeksDialogProps {
  session: Session;
  crew: CrewEntry;
  weeks: number;
  settlingFrom: string | null;
  onSettling(day: string | null): void;
  onClose(): void;
}

export function WeeksDialog({ session, crew, weeks, settlingFrom, onSettling, onClose }: WeeksDialogProps) {
  const library = useLibrary();
  const words = useWords();
  const count = Math.min(12, Math.max(LEAST_WEEKS, weeks));
  const place = { settings: crew.settings, kit: crew.kit };
  const text = (week: Week, movementId: string): string => {
    switch (week.change) {
      case "settling":
      case "asWritten":
      case "dose":
        return doseText(week.dose);
      case "form":
        return `${words.formName(movementId, week.formId)}${week.loadKg === null ? "" : `, ${words.load(week)}`}, ${doseText(week.dose)}`;
      case "load":
        return `${words.load(week)}, ${doseText(week.dose)}${week.large ? ` ${t("(step over 10 %)")}` : ""}`;
      case "none":
        return week.stop ? stopText(week.stop) : t("the same");
    }
  };
  const stopText = (stop: NonNullable<Week["stop"]>): string => {
    switch (stop.kind) {
      case "top":
        return t("top of its ladder");
      case "kit":
        return t("stops: needs {{needs}}", {
          needs: listText(
            stop.needs.map((kind) => words.label("kit", kind).toLowerCase()),
            "or",
          ),
        });
      case "place":
        return t("stops: needs {{needs}}", {
          needs: listText(
            stop.needs.map((setting) => words.label("setting", setting).toLowerCase()),
            "or",
          ),
        });
      case "noHeavier":
        return t("stops: nothing heavier than {{load}}", { load: massText(stop.loadKg) });
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="weeks-title" maxWidth="lg" fullWidth>
      <DialogTitle id="weeks-title">{t("{{name}}: the weeks ahead", { name: session.name })}</DialogTitle>
      <DialogContent>
        <Typography sx={{ color: "text.secondary", mb: 2, maxWidth: 760 }}>
          {t(
            "If all goes well. A raise waits for the top of the dose in three runs in a row, effort at least one below the cap, and mornings not raised.",
          )}
        </Typography>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 2, flexWrap: "wrap" }}>
          <TextField
            label={t("Settling-in week from")}
            type="date"
            value={settlingFrom ?? ""}
            onChange={(event) => onSettling(event.target.value || null)}
            sx={{ width: 220 }}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <Typography sx={{ flex: 1, minWidth: 260 }}>
            {settlingFrom
              ? t("For seven days every session of this program is led, planned and followed lighter, without load.")
              : t("No settling-in week is set: sessions are as written from the first day.")}
          </Typography>
          {settlingFrom && <Button onClick={() => onSettling(null)}>{t("Take it out")}</Button>}
        </Box>
        <Box tabIndex={0} role="region" aria-label={t("Weeks")} sx={{ overflowX: "auto" }}>
          <Box
            component="table"
            sx={{
              borderCollapse: "collapse",
              "& th, & td": {
                textAlign: "left",
                p: 1,
                borderBottom: "1px solid",
                borderColor: "line",
                verticalAlign: "top",
                minWidth: 118,
                fontSize: "0.95rem",
              },
              "& th:first-of-type": { minWidth: 160 },
            }}
          >
            <thead>
              <tr>
                <th>{t("Movement")}</th>
                {Array.from({ length: count }, (_, i) => (
                  <th key={i}>{i === 0 ? t("1, settling in") : i + 1}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {session.items.map((item) => {
                const list = weeksAhead(library, item, count, place);
                return (
                  <tr key={item.id}>
                    <th scope="row">{words.movementName(item.movementId)}</th>
                    {list.map((week, i) => {
                      const raised = week.change === "dose" || week.change === "form" || week.change === "load";
                      const again = week.change === "none" && list[i - 1]?.change === "none";
                      return (
                        <Box
                          component="td"
                          key={week.week}
                          sx={{
                            fontWeight: raised ? 700 : 500,
                            color: week.change === "none" ? "text.secondary" : "text.primary",
                            bgcolor: raised ? "primary.light" : "transparent",
                          }}
                        >
                          {again ? "…" : text(week, item.movementId)}
                        </Box>
                      );
                    })}
                  </tr>
                );
              })}
            </tbody>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Close")}</Button>
      </DialogActions>
    </Dialog>
  );
}
