/** One program, personal starts: who begins easier, leaves something out or stays lower, from the latest round; the trainer decides on each. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { personalStarts, type PersonalStart } from "@kind-grip/core/program";
import type { Participations } from "@kind-grip/core/safety";
import { setPersonalForm, type Session } from "@kind-grip/core/session";
import { sideWord, t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { baselineApi } from "../baseline/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Empty } from "../parts/Empty";
import { Loading } from "../parts/Loading";
import { Toggle } from "../parts/Toggle";
import { useEdit } from "./program-editor";

interface PersonalStartsDialogProps {
  session: Session;
  crew: CrewEntry;
  people: PersonEntry[];
  participations: Participations;
  onClose(): void;
}

type Easier = Extract<PersonalStart, { kind: "easier" }>;
const keyOf = ({ personId, itemId }: PersonalStart) => `${personId} ${itemId}`;

export function PersonalStartsDialog({ session, crew, people, participations, onClose }: PersonalStartsDialogProps) {
  const library = useLibrary();
  const words = useWords();
  const { changeSession, undo } = useEdit();
  const dispatch = useAppDispatch();
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const latest = rounds.data?.[0];
  const records = baselineApi.useRecordsQuery(latest?.id ?? "", { skip: !latest });
  const [declined, setDeclined] = useState<ReadonlySet<string>>(new Set());
  const waiting = !rounds.data || (latest && !records.data);
  const starts = personalStarts(
    library,
    session,
    people.map(({ id, handedness }) => ({
      personId: id,
      mainHand: handedness,
      record: records.data?.find(({ personId }) => personId === id)?.record,
      participation: participations.get(id),
    })),
  );
  const easier = starts.filter((start): start is Easier => start.kind === "easier");
  const wanted = easier.filter((start) => !declined.has(keyOf(start)));
  const apply = () => {
    changeSession(
      wanted.reduce((changed, { itemId, personId, formId }) => setPersonalForm(changed, itemId, personId, { formId }), session),
    );
    dispatch(
      notify({
        text: t("{{count}} own forms set in {{name}}.", {
          count: wanted.length,
          name: session.name,
          defaultValue_one: "{{count}} own form set in {{name}}.",
        }),
        undo: undo,
      }),
    );
    onClose();
  };
  const why = (start: PersonalStart): string => {
    switch (start.kind) {
      case "easier":
        return t("{{name}}: {{word}} {{word2}} felt, {{level}} of 10", {
          name: words.formName(start.movementId, start.formId).toLowerCase(),
          word: words.label("side", start.side).toLowerCase(),
          word2: words.label("region", start.region).toLowerCase(),
          level: start.level,
        });
      case "leftOut":
        return t("leaves it out until cleared");
      case "weakerSide":
        return t("the {{side}} hand is weaker and sets the load for both", { side: sideWord(start.side) });
      case "cap":
        return t("stays at {{cap}} of 10 or less", { cap: start.cap });
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="starts-title" maxWidth="md" fullWidth>
      <DialogTitle id="starts-title">{t("Personal starts in {{name}}", { name: session.name })}</DialogTitle>
      <DialogContent>
        {waiting ? (
          <Loading />
        ) : starts.length === 0 ? (
          <Empty
            title={latest ? t("Everybody starts alike") : t("Nobody was measured yet")}
            text={
              latest
                ? t("Nothing that was measured or asked in the latest round calls for another start.")
                : t("A baseline round tells who should start easier.")
            }
          >
            {!latest && (
              <Button component={Link} to={`/crews/${crew.id}/baseline`} variant="contained">
                {t("Go to Baseline")}
              </Button>
            )}
          </Empty>
        ) : (
          people
            .filter(({ id }) => starts.some(({ personId }) => personId === id))
            .map((person) => (
              <Box
                key={person.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: { sm: "180px minmax(0, 1fr)" },
                  columnGap: 2,
                  py: 1,
                  borderTop: "1px solid",
                  borderColor: "line",
                }}
              >
                <Typography sx={{ fontWeight: 750 }}>{person.name}</Typography>
                <Box sx={{ display: "grid", gap: 0.5 }}>
                  {starts
                    .filter(({ personId }) => personId === person.id)
                    .map((start) => (
                      <Box key={`${keyOf(start)} ${start.kind}`} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
                        {start.kind === "easier" && (
                          <Toggle
                            label={t("Easier")}
                            pressed={!declined.has(keyOf(start))}
                            onChange={(on) =>
                              setDeclined(new Set(on ? [...declined].filter((key) => key !== keyOf(start)) : [...declined, keyOf(start)]))
                            }
                          />
                        )}
                        <Typography>
                          <strong>{words.movementName(start.movementId)}</strong>, {why(start)}
                        </Typography>
                      </Box>
                    ))}
                </Box>
              </Box>
            ))
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{easier.length > 0 ? t("Leave it") : t("Close")}</Button>
        {easier.length > 0 && (
          <Button variant="contained" disabled={wanted.length === 0} onClick={apply}>
            {t("Set {{count}} own forms", { count: wanted.length, defaultValue_one: "Set {{count}} own form" })}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
