/** What waits for a decision, most urgent first: the proposal, the rules with their figures, what exactly changes; confirmed or overruled. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { useCallback, useMemo, useState } from "react";
import { dateAt } from "@kind-grip/core/calendar";
import { isHere, slotSecOf } from "@kind-grip/core/crew";
import { lengthsAfter, type DecisionKind } from "@kind-grip/core/response";
import { durationText, grouped } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { useLibrary } from "../base/library";
import type { CrewEntry, WaitingDecision } from "@kind-grip/core/api";
import { responseApi } from "./api";
import { programApi } from "../program/api";
import { crewApi } from "../crew/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";
import { useParticipations } from "../safety/use-participations";
import { DecisionMark } from "./DecisionMark";
import { DecisionRows } from "./DecisionRows";
import { OverruleDialog } from "./OverruleDialog";
import { DECISION_WORDS } from "./response-text";

const ORDER: readonly DecisionKind[] = ["pauseAndRefer", "ease", "progress", "hold"];
const WHAT: Readonly<Record<DecisionKind, string>> = {
  pauseAndRefer: t("Stop this item and have somebody look at it."),
  ease: t("One step easier from the next session on."),
  progress: t("One thing more, one item of a person at a time."),
  hold: t("Nothing changes."),
};

export function Decisions({ crew }: { crew: CrewEntry }) {
  const [all, setAll] = useState(false);
  const query = responseApi.useDecisionsQuery({ crewId: crew.id, all });
  return (
    <Loaded query={query}>
      {(waiting) => (
        <>
          <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
            <Typography sx={{ flex: 1, color: "text.secondary" }}>
              {t("What you confirm is what the next session uses. Every decision is kept with its figures.")}
            </Typography>
            <Toggle label={t("Show holds too")} pressed={all} onChange={setAll} />
          </Box>
          {waiting.length === 0 ? (
            <Empty
              title={t("Nothing waits for you")}
              text={t("Runs and morning answers are read as they come in; what needs a decision appears here and on Today.")}
            />
          ) : (
            ORDER.map((kind) => <Kind key={kind} kind={kind} crew={crew} list={waiting.filter(({ response }) => response.kind === kind)} />)
          )}
        </>
      )}
    </Loaded>
  );
}

/** Sessions that would no longer fit their slot, said in words; the programs and people of the crew are known to its frame already. */
function useOverruns(crew: CrewEntry): (list: readonly WaitingDecision[]) => string[] {
  const library = useLibrary();
  const programs = programApi.useProgramsQuery(crew.id).data;
  const people = crewApi.usePeopleQuery(crew.id).data;
  const may = useParticipations(crew.id);
  const today = dateAt(useNow(60_000), crew.timeZone);
  return useCallback(
    (list) => {
      const here = (people ?? []).filter((person) => isHere(person, today)).map(({ id }) => id);
      const changes = list.map(({ personId, itemId, response }) => ({ personId, itemId, next: response.next }));
      return (programs ?? []).flatMap(({ program }) =>
        lengthsAfter(library, program.sessions, here, may, changes)
          .filter(({ session, nowSec, thenSec }) => thenSec > nowSec && thenSec > slotSecOf(crew, session.slot))
          .map(({ session, thenSec }) =>
            t("{{name}} would take {{time}} of {{time2}}", {
              name: session.name,
              time: durationText(thenSec),
              time2: durationText(slotSecOf(crew, session.slot)),
            }),
          ),
      );
    },
    [people, programs, library, may, crew, today],
  );
}

function Kind({ kind, crew, list }: { kind: DecisionKind; crew: CrewEntry; list: readonly WaitingDecision[] }) {
  const overrunsOf = useOverruns(crew);
  const allTogether = useMemo(() => (list.length > 1 ? overrunsOf(list) : []), [list, overrunsOf]);
  const [decide, { isLoading, error }] = responseApi.useDecideMutation();
  const [overruling, setOverruling] = useState<readonly WaitingDecision[]>([]);
  const dispatch = useAppDispatch();
  if (list.length === 0) return null;
  const people = new Set(list.map(({ personId }) => personId)).size;
  const confirm = async (some: readonly WaitingDecision[]) => {
    const decisions = some.map(({ personId, programId, itemId, response }) => ({
      id: uuid(),
      personId,
      programId,
      itemId,
      proposed: response.kind,
      decided: response.kind,
      why: null,
    }));
    const answer = await decide({ crewId: crew.id, decisions });
    if (!answer.error)
      dispatch(
        notify({
          text: some.every(({ personId }) => personId === some[0]!.personId)
            ? t("{{name}}: {{decisionWords}}, from the next session on.", {
                name: some[0]!.name,
                decisionWords: DECISION_WORDS[kind].toLowerCase(),
              })
            : t("{{some}} decided.", { some: some.length }),
        }),
      );
  };
  return (
    <Box component="section" aria-label={DECISION_WORDS[kind]} sx={{ mb: 4 }}>
      <Box
        sx={{ display: "flex", alignItems: "baseline", gap: 2, borderBottom: "2px solid", borderColor: "line", pb: 0.5, flexWrap: "wrap" }}
      >
        <Typography variant="h2">
          <DecisionMark kind={kind} size={24} /> <Box component="span">{people}</Box>
        </Typography>
        <Typography sx={{ color: "text.secondary", flex: 1 }}>{WHAT[kind]}</Typography>
        {people > 1 && kind !== "hold" && (
          <Button variant="outlined" disabled={isLoading} onClick={() => void confirm(list)}>
            {t("Confirm all {{people}}", { people })}
          </Button>
        )}
      </Box>
      {error && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 1.5 }}>
          {problemOf(error).message}
        </Alert>
      )}
      {allTogether.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 1.5 }}>
          {t("All together: {{allTogether}}. Confirm fewer, or use Fit on the session afterwards.", {
            allTogether: allTogether.join("; "),
          })}
        </Alert>
      )}
      {[...grouped(list, ({ personId }) => personId)].map(([personId, own]) => (
        <DecisionRows
          key={personId}
          own={own}
          overrunsOf={overrunsOf}
          busy={isLoading}
          onConfirm={kind === "hold" ? undefined : (some) => void confirm(some)}
          onOther={setOverruling}
        />
      ))}
      {overruling.length > 0 && <OverruleDialog crewId={crew.id} list={overruling} onClose={() => setOverruling([])} />}
    </Box>
  );
}
