/** Who is held out of what and why, who is cleared until when, and who saw or changed any of it. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, Ban } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import { hasLeft } from "@kind-grip/core/crew";
import { dateAt } from "@kind-grip/core/calendar";
import { t } from "../base/words";
import { useWords } from "../base/library";
import type { CrewEntry, HeldOut, PersonEntry } from "@kind-grip/core/api";
import { safetyApi } from "./api";
import { crewApi } from "../crew/api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import AnswerDialog from "./AnswerDialog";
import { AuditTrail } from "./AuditTrail";
import { ClearanceDialog } from "./ClearanceDialog";
import { RestrictionDialog } from "./RestrictionDialog";
import { RestrictionRow, type AskedOfRow } from "./RestrictionRow";
import { restrictionStates, type RestrictionState } from "./restriction-state";
import { ReasonDialog } from "./ReasonDialog";
import { pausedWords, reportWords } from "./report-words";

export default function RestrictionsPage() {
  const crew = useCrew();
  const heldOut = safetyApi.useHeldOutQuery(crew.id, { refetchOnMountOrArgChange: true });
  const people = crewApi.usePeopleQuery(crew.id);
  return (
    <Loaded query={heldOut}>{(data) => <Loaded query={people}>{(list) => <Lists crew={crew} data={data} people={list} />}</Loaded>}</Loaded>
  );
}

type Asked = AskedOfRow | { kind: "answer"; alert: HeldOut["reports"][number] } | { kind: "restriction" };

function Lists({ crew, data, people }: { crew: CrewEntry; data: HeldOut; people: PersonEntry[] }) {
  const words = useWords();
  const now = useNow();
  const today = dateAt(now, crew.timeZone);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [withdrawRestriction] = safetyApi.useWithdrawRestrictionMutation();
  const [withdrawClearance] = safetyApi.useWithdrawClearanceMutation();
  const nameOf = (personId: string) => people.find(({ id }) => id === personId)?.name ?? t("somebody");
  const states = restrictionStates(data, { instant: new Date(now).toISOString(), day: today });
  const of = (...wanted: RestrictionState["state"][]) => states.filter(({ state }) => wanted.includes(state));
  const out = of("out");
  const outOfAll = new Set(out.map(({ restriction }) => restriction.personId)).size;
  const close = () => setAsked(null);
  const row = (state: RestrictionState) => (
    <RestrictionRow
      key={state.restriction.id}
      state={state}
      name={nameOf(state.restriction.personId)}
      today={today}
      timeZone={crew.timeZone}
      onAsk={setAsked}
    />
  );
  return (
    <>
      <PageTitle
        title={
          out.length === 0
            ? t("Nobody is held out of everything")
            : t("{{value}} people held out of everything", {
                value: outOfAll,
                count: outOfAll,
                defaultValue_one: "1 person held out of everything",
              })
        }
      >
        <Button component={Link} to={`/crews/${crew.id}/people`} startIcon={<ArrowLeft size={20} />}>
          {t("People")}
        </Button>
        <Button variant="outlined" startIcon={<Ban size={20} />} onClick={() => setAsked({ kind: "restriction" })}>
          {t("Hold somebody out")}
        </Button>
      </PageTitle>
      <Group title={t("Paused, or told and not answered yet")}>
        {data.reports.map((alert) => (
          <Box
            component="li"
            key={alert.personId}
            sx={{
              display: "flex",
              columnGap: 2,
              rowGap: 0.5,
              alignItems: "start",
              flexWrap: "wrap",
              py: 1.5,
              borderTop: "1px solid",
              borderColor: "line",
            }}
          >
            <Typography sx={{ fontWeight: 750, fontSize: "1.1rem", width: 220 }}>{nameOf(alert.personId)}</Typography>
            <Box sx={{ flex: 1, minWidth: 260 }}>
              {alert.reports.map((report) => (
                <Typography key={report.alertId}>{reportWords(report, words, crew.timeZone)}</Typography>
              ))}
              <Typography sx={{ fontWeight: 650 }}>
                {pausedWords(alert.reports, words)}{" "}
                {alert.reports.every(({ answer }) => answer === "keepPaused") && t("You keep it paused.")}
              </Typography>
            </Box>
            <Button
              variant="contained"
              onClick={() => setAsked({ kind: "answer", alert })}
              aria-label={t("Answer {{name}}", { name: nameOf(alert.personId) })}
            >
              {t("Answer")}
            </Button>
          </Box>
        ))}
      </Group>
      {states.length === 0 && data.reports.length === 0 && (
        <Empty
          title={t("No holds, no clearances")}
          text={t(
            "A yes to a safety question holds a person out by itself, in every program, run and export. You can also hold somebody out here, for something said in passing.",
          )}
        />
      )}
      <Group title={t("Out of everything until cleared")}>{out.map(row)}</Group>
      <Group title={t("Out of some items, or kept short of the end")}>{of("partly").map(row)}</Group>
      <Group title={t("Cleared")}>{of("cleared").map(row)}</Group>
      <Group title={t("Entered by mistake")}>{of("over").map(row)}</Group>
      <AuditTrail crew={crew} nameOf={nameOf} />
      {asked?.kind === "answer" && (
        <AnswerDialog
          alert={{ ...asked.alert, crewId: crew.id, timeZone: crew.timeZone, name: nameOf(asked.alert.personId) }}
          onClose={close}
        />
      )}
      {asked?.kind === "restriction" && (
        <RestrictionDialog crewId={crew.id} people={people.filter((person) => !hasLeft(person, today))} onClose={close} />
      )}
      {asked?.kind === "clear" && (
        <ClearanceDialog
          crewId={crew.id}
          restriction={asked.restriction}
          name={nameOf(asked.restriction.personId)}
          today={today}
          onClose={close}
        />
      )}
      {asked?.kind === "mistake" && (
        <ReasonDialog
          title={t("{{name}} was held out by mistake", { name: nameOf(asked.restriction.personId) })}
          text={t("Only for a wrong tap or a wrong name. Somebody who said yes and feels better is not a mistake: they need a clearance.")}
          confirm={t("End this hold")}
          onConfirm={(why) => withdrawRestriction({ id: asked.restriction.id, why })}
          onClose={close}
        />
      )}
      {asked?.kind === "withdraw" && (
        <ReasonDialog
          title={t("Withdraw the clearance of {{name}}", { name: nameOf(asked.clearance.personId) })}
          text={t("They are held out again at once.")}
          confirm={t("Withdraw it")}
          onConfirm={(why) => withdrawClearance({ id: asked.clearance.id, why })}
          onClose={close}
        />
      )}
    </>
  );
}

function Group({ title, children }: { title: string; children: ReactNode[] }) {
  if (children.length === 0) return null;
  return (
    <Box component="section" aria-label={title} sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {children}
      </Box>
    </Box>
  );
}
