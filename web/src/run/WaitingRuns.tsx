/**
 * What is kept in this browser and not stored: runs that name somebody who was held out, what the server will never take, and what waits
 * for a colleague to sign in here. Everything can be saved as a file.
 */
import { Box, Button, Typography } from "@mui/material";
import { Ban, CloudOff, Hourglass } from "lucide-react";
import type { ReactNode } from "react";
import { grouped } from "@kind-grip/core/units";
import { useOwner } from "../base/api";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { saveFile } from "../parts/save-file";
import { drop, isOf, putRun, useOutbox, without, type HeldOutRefusal, type Waiting } from "./outbox";
import type { RunRecord } from "@kind-grip/core/run";

export function WaitingRuns() {
  const owner = useOwner();
  const all = useOutbox();
  if (!owner) return null;
  const own = all.filter((each) => isOf(each, owner));
  const others = grouped(
    all.filter((each) => !isOf(each, owner)),
    (each) => each.owner,
  );
  return (
    <>
      {own.map((each) =>
        each.refused !== undefined ? (
          <Refused key={each.id} waiting={each} why={each.refused} />
        ) : each.kind === "run" && each.heldOut ? (
          <HeldOut key={each.id} run={each.run} refusal={each.heldOut} owner={owner} />
        ) : null,
      )}
      {[...others].map(([of, list]) => (
        <Notice key={of} Icon={Hourglass} calm>
          <Typography sx={{ flex: 1, minWidth: 260 }}>
            {t("Kept here for {{of}}: {{what}}. It is sent when they sign in in this browser.", { of, what: list.map(nameOf).join(", ") })}
          </Typography>
          <Button onClick={() => saveWaiting(list)}>{t("Save as a file")}</Button>
        </Notice>
      ))}
    </>
  );
}

function nameOf(waiting: Waiting): string {
  switch (waiting.kind) {
    case "run":
      return t("the run of {{name}}", { name: waiting.run.session.name });
    case "report":
      return t("what somebody felt in a run");
    case "observation":
      return t("what was watched at the line");
  }
}

function saveWaiting(list: readonly Waiting[]): void {
  saveFile(`not-stored-${list[0]!.id.slice(0, 8)}.json`, list);
}

function Refused({ waiting, why }: { waiting: Waiting; why: string }) {
  return (
    <Notice Icon={CloudOff}>
      <Typography sx={{ flex: 1, minWidth: 260 }}>{t("Not stored: {{what}}. {{why}}", { what: nameOf(waiting), why })}</Typography>
      <Button onClick={() => saveWaiting([waiting])}>{t("Save as a file")}</Button>
      <Button onClick={() => drop(waiting.id)}>{t("I have read it, take it away")}</Button>
    </Notice>
  );
}

function HeldOut({ run, refusal, owner }: { run: RunRecord; refusal: HeldOutRefusal; owner: string }) {
  const { data: people } = crewApi.usePeopleQuery(run.crewId);
  const names = (ids: readonly string[]) => ids.map((id) => people?.find((person) => person.id === id)?.name ?? t("somebody")).join(", ");
  const partly = Object.keys(refusal.withoutItems);
  return (
    <Notice Icon={Ban}>
      <Typography sx={{ flex: 1, minWidth: 260 }}>
        <strong>{run.session.name}</strong> {t("is kept here, not yet stored.")}{" "}
        {refusal.withoutPeople.length > 0 &&
          `${t("Held out when it began: {{withoutPeople}}.", { withoutPeople: names(refusal.withoutPeople) })} `}
        {partly.length > 0 && t("Held out of a part of it: {{partly}}.", { partly: names(partly) })}
      </Typography>
      <Button variant="contained" onClick={() => putRun(without(run, refusal), owner)}>
        {refusal.withoutPeople.length > 0 ? t("Store it without them") : t("Store it without those items")}
      </Button>
    </Notice>
  );
}

/** @param calm nothing is wrong, it only waits */
function Notice({ Icon, calm = false, children }: { Icon: typeof Ban; calm?: boolean; children: ReactNode }) {
  return (
    <Box
      role={calm ? "status" : "alert"}
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        flexWrap: "wrap",
        px: 2,
        py: 1.25,
        mb: 2,
        borderLeft: "6px solid",
        borderColor: calm ? "warm.main" : "error.main",
        bgcolor: "background.paper",
        "@media print": { display: "none" },
      }}
    >
      <Icon size={22} aria-hidden />
      {children}
    </Box>
  );
}
