/** What somebody may ask of their own data: everything as a file, and to be forgotten. */
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Link as TextLink,
  TextField,
  Typography,
} from "@mui/material";
import { Download, Eraser, Stethoscope } from "lucide-react";
import { useEffect, useRef, useState, type FormEvent } from "react";
import { Link } from "react-router";
import type { ErasedPerson, PersonEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { recordApi } from "./api";

interface PersonDataProps {
  crewId: string;
  person: PersonEntry;
}

export function PersonData({ crewId, person: { id, name, isErased } }: PersonDataProps) {
  const [asking, setAsking] = useState(false);
  const [elsewhere, setElsewhere] = useState<ErasedPerson["elsewhere"]>([]);
  // What was pressed is gone afterwards: the keyboard goes on from here.
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (!isErased) return;
    // What stands above it is loaded anew, shorter for a moment and then longer; the notice covers the foot of the page.
    const page = new ResizeObserver(() => {
      if (document.activeElement === title.current) title.current?.scrollIntoView({ block: "center" });
    });
    page.observe(document.body);
    return () => page.disconnect();
  }, [isErased]);
  return (
    <Box
      component="section"
      aria-label={t("Their data")}
      sx={{ borderTop: "1px solid", borderColor: "line", pt: 2, "@media print": { display: "none" } }}
    >
      <Typography ref={title} tabIndex={-1} variant="h2" sx={{ fontSize: "1.25rem" }}>
        {t("Their data")}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: "44em" }}>
        {isErased
          ? t("They were forgotten. What is left is that somebody was there and how much was done: the crew's figures stand on it.")
          : t(
              "They see what is kept of them on their own phone, notes included, and can save it there. Who has no phone gets the file from you.",
            )}
      </Typography>
      {elsewhere.length > 0 && <Elsewhere people={elsewhere} />}
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        <Button
          component="a"
          href={`/api/crews/${crewId}/people/${id}/everything.json`}
          download
          variant="outlined"
          startIcon={<Download size={20} />}
        >
          {t("Everything as a file")}
        </Button>
        {!isErased && (
          <Button component="a" href={`/api/crews/${crewId}/people/${id}/fhir.json`} download startIcon={<Stethoscope size={20} />}>
            {t("Measurements for a therapist (FHIR)")}
          </Button>
        )}
        {!isErased && (
          <Button color="error" startIcon={<Eraser size={20} />} onClick={() => setAsking(true)}>
            {t("Forget {{name}} …", { name })}
          </Button>
        )}
      </Box>
      {asking && (
        <EraseDialog
          crewId={crewId}
          personId={id}
          name={name}
          onDone={(found) => {
            setElsewhere(found);
            setAsking(false);
            // Once the dialog has given the focus back to what is gone.
            setTimeout(() => title.current?.focus());
          }}
          onClose={() => setAsking(false)}
        />
      )}
    </Box>
  );
}

function Elsewhere({ people }: { people: ErasedPerson["elsewhere"] }) {
  return (
    <Alert severity="info" variant="outlined" sx={{ mb: 1.5 }}>
      {t("The same or a similar name is in other crews of yours. If it is the same person, more is kept of them there:")}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {people.map(({ crewId, crewName, personId, name }) => (
          <li key={personId}>
            <TextLink component={Link} to={`/crews/${crewId}/people/${personId}`}>
              {t("{{name}} in {{crewName}}", { name, crewName })}
            </TextLink>
          </li>
        ))}
      </Box>
    </Alert>
  );
}

interface EraseDialogProps {
  crewId: string;
  personId: string;
  name: string;
  onDone(elsewhere: ErasedPerson["elsewhere"]): void;
  onClose(): void;
}

/** It cannot be undone, so the name is typed: a click on the wrong row forgets nobody. */
function EraseDialog({ crewId, personId, name, onDone, onClose }: EraseDialogProps) {
  const dispatch = useAppDispatch();
  const [erase, { isLoading, error }] = recordApi.useErasePersonMutation();
  const [typed, setTyped] = useState("");
  const problem = error === undefined ? undefined : problemOf(error);
  const send = (event: FormEvent) => {
    event.preventDefault();
    void erase({ crewId, personId, name: typed }).then(({ data }) => {
      if (!data) return;
      dispatch(notify({ text: t("{{name}} was forgotten.", { name }) }));
      onDone(data.elsewhere);
    });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="erase-title" slotProps={{ paper: { component: "form", onSubmit: send } }}>
      <DialogTitle id="erase-title">{t("Forget {{name}} for good?", { name })}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1 }}>
          {t(
            "Name and badge go, and everything they answered, what was measured, reported, decided, written down and booked, their addresses and their card. They leave the crew with yesterday, if they have not left.",
          )}
        </Typography>
        <Typography sx={{ mb: 1 }}>
          {t("What stays: that somebody was in a session, how hard it was, how much was done. Reports that were given out do not change.")}
        </Typography>
        <Typography sx={{ mb: 2, fontWeight: 650 }}>
          {t("This cannot be undone. Backups from before still have it, as long as they are kept.")}
        </Typography>
        <TextField
          autoFocus
          fullWidth
          label={t("Type the name to go on: {{name}}", { name })}
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          error={problem !== undefined}
          helperText={problem && (problem.fields.find(({ path }) => path === "name")?.message ?? problem.message)}
          autoComplete="off"
          slotProps={{ htmlInput: { maxLength: 160 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button type="submit" variant="contained" color="error" disabled={isLoading || typed.trim() !== name.trim()}>
          {t("Forget for good")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
