/** Who is here, before a run begins: as last time, with one tap for whoever is different today. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { Users } from "lucide-react";
import { useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";

export interface RollCallProps {
  /** Who may take part. */
  people: readonly PersonEntry[];
  away: ReadonlySet<string>;
  onAway(away: ReadonlySet<string>): void;
}

/** More names than this are counted. */
const NAMED = 6;

export function RollCall({ people, away, onAway }: RollCallProps) {
  const [open, setOpen] = useState(false);
  const gone = people.filter(({ id }) => away.has(id));
  const here = people.length - gone.length;
  return (
    <Box>
      <Button variant="outlined" startIcon={<Users size={22} />} onClick={() => setOpen(true)} sx={{ minHeight: 52, fontSize: "1.1rem" }}>
        {t("Here: {{here}} of {{people}}", { here, people: people.length })}
      </Button>
      {gone.length > 0 && (
        <Typography sx={{ mt: 0.5, color: "text.secondary" }}>
          {gone.length > NAMED
            ? t("{{count}} are not here", { count: gone.length })
            : t("Not here: {{names}}", { names: listText(gone.map(({ name }) => name)) })}
        </Typography>
      )}
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="md" aria-labelledby="roll-call-title">
        <DialogTitle id="roll-call-title">{t("Here: {{here}} of {{people}}", { here, people: people.length })}</DialogTitle>
        <DialogContent>
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mb: 1.5 }}>
            <Button variant="outlined" disabled={here === people.length} onClick={() => onAway(new Set())}>
              {t("Everybody is here")}
            </Button>
            <Button variant="outlined" disabled={here === 0} onClick={() => onAway(new Set(people.map(({ id }) => id)))}>
              {t("Nobody yet")}
            </Button>
          </Box>
          <Box role="group" aria-label={t("Who is here")} sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
            {people.map(({ id, name }) => (
              <Toggle
                key={id}
                label={name}
                pressed={!away.has(id)}
                onChange={(isHere) => onAway(new Set([...away].filter((each) => each !== id).concat(isHere ? [] : [id])))}
              />
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={() => setOpen(false)}>
            {t("Done")}
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}
