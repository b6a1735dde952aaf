/** What waits for a decision, most urgent first: the proposal, the rules with their figures, what exactly changes; confirmed or overruled. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { useCallback, useMemo, useState } from "react";
import { wordsIn } from "@kind-grip/core/language";
import { changeText, DECISION_WORDS, firedText, lengthsAfter, type DecisionKind } from "@kind-grip/core/response";
import { clockText } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import type { WaitingDecision } from "@kind-grip/core/answers";
import { problemOf, serverApi, type CrewEntry } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch } from "../app/store";
import { MovementThumb } from "../figure/MovementThumb";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";
import { useParticipations } from "../safety/use-participations";
import { DecisionMark } from "./DecisionMark";
import { EvidenceChart } from "./EvidenceChart";
import { OverruleDialog } from "./OverruleDialog";

const ORDER: readonly DecisionKind[] = ["pauseAndRefer", "ease", "progress", "hold"];
const WHAT: Readonly<Record<DecisionKind, string>> = {
  pauseAndRefer: "Stop this item and have somebody look at it.",
  ease: "One step easier from the next session on.",
  progress: "One thing more, one item of a person at a time.",
  hold: "Nothing changes.",
};

export function Decisions({ crew }: { crew: CrewEntry }) {
  const [all, setAll] = useState(false);
  const query = serverApi.useDecisionsQuery({ crewId: crew.id, all });
  return (
    <Loaded query={query}>
      {(waiting) => (
        <>
          <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
            <Typography sx={{ flex: 1, color: "text.secondary" }}>
              What you confirm is what the next session uses. Every decision is kept with its figures.
            </Typography>
            <Toggle label="Show holds too" pressed={all} onChange={setAll} />
          </Box>
          {waiting.length === 0 ? (
            <Empty
              title="Nothing waits for you"
              text="Runs and morning answers are read as they come in; what needs a decision appears here and on Today."
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
  const programs = serverApi.useProgramsQuery(crew.id).data;
  const people = serverApi.usePeopleQuery(crew.id).data;
  const may = useParticipations(crew.id);
  return useCallback(
    (list) => {
      const here = (people ?? []).filter(({ leftOn }) => leftOn === null).map(({ id }) => id);
      const changes = list.map(({ personId, itemId, response }) => ({ personId, itemId, next: response.next }));
      return (programs ?? []).flatMap(({ program }) =>
        lengthsAfter(program.sessions, here, may, changes)
          .filter(({ session, nowSec, thenSec }) => thenSec > nowSec && thenSec > crew.slots[session.slot])
          .map(({ session, thenSec }) => `${session.name} would take ${clockText(thenSec)} of ${clockText(crew.slots[session.slot])}`),
      );
    },
    [crew, programs, people, may],
  );
}

function Kind({ kind, crew, list }: { kind: DecisionKind; crew: CrewEntry; list: readonly WaitingDecision[] }) {
  const overrunsOf = useOverruns(crew);
  const allTogether = useMemo(() => (list.length > 1 ? overrunsOf(list) : []), [list, overrunsOf]);
  const [decide, { isLoading, error }] = serverApi.useDecideMutation();
  const [overruling, setOverruling] = useState<WaitingDecision | null>(null);
  const dispatch = useAppDispatch();
  if (list.length === 0) return null;
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
          text:
            some.length === 1
              ? `${some[0]!.name}: ${DECISION_WORDS[kind].toLowerCase()}, from the next session on.`
              : `${some.length} decided.`,
        }),
      );
  };
  return (
    <Box component="section" aria-label={DECISION_WORDS[kind]} sx={{ mb: 4 }}>
      <Box
        sx={{ display: "flex", alignItems: "baseline", gap: 2, borderBottom: "2px solid", borderColor: "line", pb: 0.5, flexWrap: "wrap" }}
      >
        <Typography variant="h2">
          <DecisionMark kind={kind} size={24} /> <Box component="span">{list.length}</Box>
        </Typography>
        <Typography sx={{ color: "text.secondary", flex: 1 }}>{WHAT[kind]}</Typography>
        {list.length > 1 && kind !== "hold" && (
          <Button variant="outlined" disabled={isLoading} onClick={() => void confirm(list)}>
            Confirm all {list.length}
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
          All together: {allTogether.join("; ")}. Confirm fewer, or use Fit on the session afterwards.
        </Alert>
      )}
      {list.map((each) => (
        <Row
          key={`${each.personId} ${each.itemId}`}
          each={each}
          overruns={overrunsOf([each])}
          busy={isLoading}
          onConfirm={kind === "hold" ? undefined : () => void confirm([each])}
          onOther={() => setOverruling(each)}
        />
      ))}
      {overruling && <OverruleDialog crewId={crew.id} each={overruling} onClose={() => setOverruling(null)} />}
    </Box>
  );
}

interface RowProps {
  each: WaitingDecision;
  /** Sessions that would no longer fit their slot. */
  overruns: readonly string[];
  busy: boolean;
  onConfirm?: () => void;
  onOther(): void;
}

function Row({ each, overruns, busy, onConfirm, onOther }: RowProps) {
  const words = wordsIn();
  const { movementId, was, response } = each;
  const change = changeText(response, movementId, words);
  const movement = words.movementName(movementId);
  return (
    <Box
      component="article"
      aria-label={`${each.name}, ${movement}`}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "72px minmax(0, 1fr) 190px auto" },
        columnGap: 2.5,
        rowGap: 1,
        alignItems: "center",
        py: 1.25,
        borderBottom: "1px solid",
        borderColor: "line",
      }}
    >
      <Box sx={{ width: 72 }}>
        <MovementThumb movementId={movementId} formId={was.formId} />
      </Box>
      <Box>
        <Typography sx={{ fontSize: "1.1rem" }}>
          <strong>{each.name}</strong> · {movement}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {" "}
            {words.formName(movementId, was.formId).toLowerCase()}
            {was.loadKg !== null && `, ${words.load(was)}`}
          </Box>
        </Typography>
        {response.fired.map((fired, i) => (
          <Typography key={i} sx={{ color: "text.secondary", lineHeight: 1.35 }}>
            {firedText(fired)}
          </Typography>
        ))}
        {change && <Typography sx={{ fontWeight: 650, lineHeight: 1.35 }}>{change}</Typography>}
        {overruns.map((text) => (
          <Typography key={text} sx={{ color: "warm.dark", lineHeight: 1.35 }}>
            {text}.
          </Typography>
        ))}
      </Box>
      <EvidenceChart runs={each.runs} mornings={each.mornings} usualLevel={each.usualLevel} />
      <Box sx={{ display: "flex", gap: 1 }}>
        {onConfirm && (
          <Button variant="contained" disabled={busy} onClick={onConfirm} aria-label={`Confirm: ${each.name}, ${movement}`}>
            Confirm
          </Button>
        )}
        <Button variant="outlined" onClick={onOther} aria-label={`Decide otherwise: ${each.name}, ${movement}`}>
          Otherwise
        </Button>
      </Box>
    </Box>
  );
}
