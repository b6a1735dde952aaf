/** Makes a session fit a length of time: each cut in words with the seconds it gained, and what more minutes would buy. */
import { isEqual } from "es-toolkit";
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { Lock } from "lucide-react";
import { useMemo, useState } from "react";
import { slotSecOf } from "@kind-grip/core/crew";
import { regionNeeds } from "@kind-grip/core/need";
import type { Session } from "@kind-grip/core/session";
import { fitToSlot, priorityOf, worthAt, type FitOptions } from "@kind-grip/core/slot";
import { averageDay } from "@kind-grip/core/strain";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { useWorkDone } from "../work/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { Why } from "../parts/Why";
import { useEdit } from "./program-editor";
import { Joiners } from "./Joiners";
import { WorthCurve } from "./WorthCurve";
import { cutText } from "./cut-text";

const MORE_SEC = 120;

interface FitDialogProps {
  /** Without own forms of people who leave an item out. */
  session: Session;
  crew: CrewEntry;
  people: PersonEntry[];
  onClose(): void;
}

export function FitDialog({ session, crew, people, onClose }: FitDialogProps) {
  const library = useLibrary();
  const words = useWords();
  const { program, change, undo } = useEdit();
  const dispatch = useAppDispatch();
  const slotSec = slotSecOf(crew, session.slot);
  const [lengthSec, setLengthSec] = useState(slotSec);
  const [fuller, setFuller] = useState(false);
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const work = useWorkDone(crew.id);
  const needs = useMemo(
    () =>
      work
        ? regionNeeds(
            work,
            averageDay(
              work,
              people.map(({ id }) => id),
            ),
          )
        : [],
    [work, people],
  );
  const options = useMemo((): FitOptions => {
    return { personIds: people.map(({ id }) => id), library, priorityOf: (item) => priorityOf(library, item, needs), kept, fuller };
  }, [needs, people, library, kept, fuller]);
  const fit = useMemo(() => fitToSlot(session, lengthSec, options), [session, lengthSec, options]);
  const more = useMemo(() => fitToSlot(session, lengthSec + MORE_SEC, options), [session, lengthSec, options]);
  const curve = useMemo(() => {
    const most = Math.max(fit.beforeSec, slotSec, lengthSec + MORE_SEC) * 1.05;
    const lengths = Array.from({ length: 60 }, (_, i) => Math.max(1, Math.round((most * (i + 1)) / 60)));
    return worthAt(session, lengths, options).map((worth, i) => ({ sec: lengths[i]!, worth }));
  }, [session, options, fit.beforeSec, slotSec, lengthSec]);
  const bought = fit.cuts.filter((cut) => !more.cuts.some((other) => other.itemId === cut.itemId && isEqual(other, cut)));
  const apply = () => {
    const own = new Map(program.sessions.find(({ id }) => id === session.id)!.items.map((item) => [item.id, item.personal]));
    // Own forms of people who are held out stay where they were, for the day they are cleared.
    const items = fit.session.items.map((item) => ({ ...item, personal: { ...own.get(item.id), ...item.personal } }));
    change({ ...program, sessions: program.sessions.map((each) => (each.id === session.id ? { ...each, items } : each)) });
    dispatch(notify({ text: t("{{name}} takes {{time}} now.", { name: session.name, time: durationText(fit.totalSec) }), undo: undo }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="fit-title" maxWidth="md" fullWidth>
      <DialogTitle id="fit-title">{t("Fit {{name}}", { name: session.name })}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "flex", gap: 3, alignItems: "flex-end", flexWrap: "wrap", mb: 2 }}>
          <Stepper
            label={t("Minutes")}
            value={lengthSec / 60}
            min={1}
            max={60}
            step={0.5}
            onChange={(minutes) => setLengthSec(Math.round(minutes * 60))}
          />
          <Button variant="outlined" disabled={lengthSec === slotSec} onClick={() => setLengthSec(slotSec)}>
            {t("The slot: {{time}}", { time: durationText(slotSec) })}
          </Button>
          <Toggle label={t("Fill what is spare")} pressed={fuller} onChange={setFuller} />
          <Typography component="p" sx={{ ml: "auto", fontSize: "1.9rem", fontWeight: 800, lineHeight: 1.1 }} role="status">
            {durationText(fit.beforeSec)} → {durationText(fit.totalSec)}
          </Typography>
        </Box>
        {!fit.fits && (
          <Typography role="alert" sx={{ color: "error.main", fontWeight: 650, mb: 1 }}>
            {t("What has to stay is longer than this: {{time}} is the shortest. Keep fewer items, or give it more time.", {
              time: durationText(fit.totalSec),
            })}
          </Typography>
        )}
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.1fr) minmax(0, 1fr)" },
            columnGap: 4,
            rowGap: 2,
          }}
        >
          <Box>
            <Typography variant="h3" sx={{ mb: 0.5 }}>
              {fit.cuts.length === 0 ? t("Nothing has to change") : t("What changes")}
            </Typography>
            <Box component="ul" aria-label={t("Cuts")} sx={{ m: 0, pl: 2.5 }}>
              {fit.cuts.map((cut) => (
                <li key={`${cut.itemId} ${cut.kind}`}>{cutText(cut, words.movementName)}</li>
              ))}
            </Box>
            <Joiners session={session} spareSec={lengthSec - fit.totalSec} needs={needs} crew={crew} people={people.length} />
            <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
              {t("Keep as it is")}
            </Typography>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
              {session.items.map((item) => (
                <Toggle
                  key={item.id}
                  label={words.movementName(item.movementId)}
                  pressed={kept.has(item.id)}
                  onChange={(on) => setKept(new Set(on ? [...kept, item.id] : [...kept].filter((id) => id !== item.id)))}
                />
              ))}
            </Box>
          </Box>
          <Box>
            <WorthCurve curve={curve} slotSec={lengthSec} />
            <Typography sx={{ mt: 1 }}>
              {bought.length === 0 ? (
                t("Two more minutes would change nothing.")
              ) : (
                <>
                  <strong>{t("Two more minutes")}</strong>{" "}
                  {t("would give back: {{bought}}. Worth {{worth}} % → {{worth2}} % of the whole.", {
                    bought: bought.map((cut) => words.movementName(cut.movementId).toLowerCase()).join(", "),
                    worth: Math.round(fit.worth * 100),
                    worth2: Math.round(more.worth * 100),
                  })}
                </>
              )}
            </Typography>
            <Why label={t("How it chooses")}>
              <Box component="span" sx={{ display: "inline-flex", gap: 0.5, alignItems: "center" }}>
                <Lock size={15} aria-hidden /> {t("The first item that gets ready always stays.")}
              </Box>{" "}
              {t(
                "Every item may be given fewer or shorter bouts, down to 40 % of its dose, alternating sides, or be left out. The first repetitions count most (worth is the square root of the share). Items count by phase and by what the crew's work asks for. Of all combinations that fit, the one of the greatest worth is taken; both sides always get the same.",
              )}
            </Why>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Leave it")}</Button>
        <Button variant="contained" onClick={apply} disabled={fit.cuts.length === 0}>
          {t("Make it {{time}}", { time: durationText(fit.totalSec) })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
