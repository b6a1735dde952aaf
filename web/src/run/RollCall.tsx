/** Who is here, before a run begins: as last time, with one tap for whoever is different today. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { ScanLine, Users } from "lucide-react";
import { lazy, Suspense, useEffect, useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import { fetched } from "../base/lost-code";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { Loading } from "../parts/Loading";
import { Toggle } from "../parts/Toggle";

const CardCamera = lazy(() => fetched(() => import("./CardCamera")));

export interface RollCallProps {
  /** Who may take part. */
  crewId: string;
  people: readonly PersonEntry[];
  /** Who said so on their own phone. */
  arrived?: ReadonlySet<string>;
  away: ReadonlySet<string>;
  onAway(away: ReadonlySet<string>): void;
}

/** More names than this are counted. */
const NAMED = 6;

const NOBODY: ReadonlySet<string> = new Set();

export function RollCall({ crewId, people, arrived = NOBODY, away, onAway }: RollCallProps) {
  const [open, setOpen] = useState(false);
  const [scanning, setScanning] = useState(false);
  const hasCamera = useHasCamera();
  const gone = people.filter(({ id }) => away.has(id));
  const here = people.length - gone.length;
  const close = () => {
    setOpen(false);
    setScanning(false);
  };
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
      <Dialog open={open} onClose={close} fullWidth maxWidth="md" aria-labelledby="roll-call-title">
        <DialogTitle id="roll-call-title">{t("Here: {{here}} of {{people}}", { here, people: people.length })}</DialogTitle>
        <DialogContent>
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mb: 1.5 }}>
            <Button variant="outlined" disabled={here === people.length} onClick={() => onAway(new Set())}>
              {t("Everybody is here")}
            </Button>
            <Button variant="outlined" disabled={here === 0} onClick={() => onAway(new Set(people.map(({ id }) => id)))}>
              {t("Nobody yet")}
            </Button>
            {hasCamera && (
              <Button variant="outlined" startIcon={<ScanLine size={20} />} aria-pressed={scanning} onClick={() => setScanning(!scanning)}>
                {scanning ? t("Close the camera") : t("Scan cards")}
              </Button>
            )}
          </Box>
          {scanning && (
            <Suspense fallback={<Loading />}>
              <CardCamera
                crewId={crewId}
                people={people}
                onHere={(personId) => onAway(new Set([...away].filter((id) => id !== personId)))}
              />
            </Suspense>
          )}
          <Box role="group" aria-label={t("Who is here")} sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
            {people.map(({ id, name }) => (
              <Toggle
                key={id}
                label={arrived.has(id) ? t("{{name}} · by phone", { name }) : name}
                pressed={!away.has(id)}
                onChange={(isHere) => onAway(new Set([...away].filter((each) => each !== id).concat(isHere ? [] : [id])))}
              />
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={close}>
            {t("Done")}
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}

/** Whether this screen has a camera; asked for nothing before it is opened. */
function useHasCamera(): boolean {
  const [has, setHas] = useState(false);
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const devices = (await navigator.mediaDevices?.enumerateDevices().catch(() => [])) ?? [];
      if (!gone) setHas(devices.some(({ kind }) => kind === "videoinput"));
    };
    void look();
    return () => {
      gone = true;
    };
  }, []);
  return has;
}
