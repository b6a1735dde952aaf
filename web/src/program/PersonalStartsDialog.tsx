/** One program, personal starts: who begins easier, leaves something out or stays lower, from what was last found in each; the trainer decides on each. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { personalStarts, withStarts } from "@kind-grip/core/program";
import type { Participations } from "@kind-grip/core/safety";
import type { Session } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useLibrary } from "../base/library";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { baselineApi } from "../baseline/api";
import { useNoise } from "../baseline/use-noise";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { useEdit } from "./program-editor";
import { startKey, StartsList } from "./StartsList";

interface PersonalStartsDialogProps {
  session: Session;
  crew: CrewEntry;
  people: PersonEntry[];
  participations: Participations;
  onClose(): void;
}

export function PersonalStartsDialog({ session, crew, people, participations, onClose }: PersonalStartsDialogProps) {
  const library = useLibrary();
  const noise = useNoise();
  const { changeSession, undo } = useEdit();
  const dispatch = useAppDispatch();
  const records = baselineApi.useKnownRecordsQuery(crew.id, { refetchOnMountOrArgChange: true });
  const measured = records.data?.some(({ personId }) => people.some(({ id }) => id === personId));
  const [declined, setDeclined] = useState<ReadonlySet<string>>(new Set());
  const starts = personalStarts(
    library,
    session,
    people.map(({ id, handedness }) => ({
      personId: id,
      mainHand: handedness,
      record: records.data?.find(({ personId }) => personId === id)?.record,
      participation: participations.get(id),
    })),
    noise,
  );
  // What is not known yet proposes nothing.
  const own = records.data ? starts.filter(({ kind }) => kind === "own") : [];
  const wanted = own.filter((start) => !declined.has(startKey(start)));
  const apply = () => {
    changeSession(withStarts(session, wanted));
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
  return (
    <Dialog open onClose={onClose} aria-labelledby="starts-title" maxWidth="md" fullWidth>
      <DialogTitle id="starts-title">{t("Personal starts in {{name}}", { name: session.name })}</DialogTitle>
      <DialogContent>
        <Loaded query={records}>
          {() =>
            starts.length === 0 ? (
              <Empty
                title={measured ? t("Everybody starts alike") : t("Nobody was measured yet")}
                text={
                  measured
                    ? t("Nothing that was last measured or asked calls for another start.")
                    : t("A baseline round tells who should start easier.")
                }
              >
                {!measured && (
                  <Button component={Link} to={`/crews/${crew.id}/baseline`} variant="contained">
                    {t("Go to Baseline")}
                  </Button>
                )}
              </Empty>
            ) : (
              <StartsList people={people} starts={starts} participations={participations} declined={declined} onDecline={setDeclined} />
            )
          }
        </Loaded>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{own.length > 0 ? t("Leave it") : t("Close")}</Button>
        {own.length > 0 && (
          <Button variant="contained" disabled={wanted.length === 0} onClick={apply}>
            {t("Set {{count}} own forms", { count: wanted.length, defaultValue_one: "Set {{count}} own form" })}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
