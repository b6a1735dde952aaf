/** Runs the server would not store as sent, because somebody in them was held out: kept here until the trainer says how. */
import { Box, Button, Typography } from "@mui/material";
import { Ban } from "lucide-react";
import { useEffect, useState } from "react";
import { t } from "../base/words";
import { noteRefusal, outbox, putInOutbox, refusals, without, type HeldOutRefusal } from "./run-store";
import type { RunRecord } from "@kind-grip/core/run";
import { crewApi } from "../crew/api";

export const REFUSAL_NOTED = "kind-grip-run-refused";

function waiting(): { run: RunRecord; refusal: HeldOutRefusal }[] {
  const noted = refusals();
  return outbox().flatMap((run) => (noted[run.id] ? [{ run, refusal: noted[run.id]! }] : []));
}

export function HeldOutRuns() {
  const [list, setList] = useState(waiting);
  useEffect(() => {
    const look = () => setList(waiting());
    addEventListener(REFUSAL_NOTED, look);
    return () => removeEventListener(REFUSAL_NOTED, look);
  }, []);
  return list.map(({ run, refusal }) => (
    <Waiting
      key={run.id}
      run={run}
      refusal={refusal}
      onStore={() => {
        putInOutbox(without(run, refusal));
        noteRefusal(run.id, undefined);
        setList(waiting());
        dispatchEvent(new Event("kind-grip-run-finished"));
      }}
    />
  ));
}

function Waiting({ run, refusal, onStore }: { run: RunRecord; refusal: HeldOutRefusal; onStore(): void }) {
  const { data: people } = crewApi.usePeopleQuery(run.crewId);
  const names = (ids: readonly string[]) => ids.map((id) => people?.find((person) => person.id === id)?.name ?? "somebody").join(", ");
  const partly = Object.keys(refusal.withoutItems);
  return (
    <Box
      role="alert"
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        flexWrap: "wrap",
        px: 2,
        py: 1.25,
        mb: 2,
        borderLeft: "6px solid",
        borderColor: "error.main",
        bgcolor: "background.paper",
        "@media print": { display: "none" },
      }}
    >
      <Ban size={22} aria-hidden />
      <Typography sx={{ flex: 1, minWidth: 260 }}>
        <strong>{run.session.name}</strong> {t("is kept here, not yet stored.")}{" "}
        {refusal.withoutPeople.length > 0 &&
          `${t("Held out when it began: {{withoutPeople}}.", { withoutPeople: names(refusal.withoutPeople) })} `}
        {partly.length > 0 && t("Held out of a part of it: {{partly}}.", { partly: names(partly) })}
      </Typography>
      <Button variant="contained" onClick={onStore}>
        {t("Store it without {{what}}", { what: refusal.withoutPeople.length > 0 ? t("them") : t("those items") })}
      </Button>
    </Box>
  );
}
