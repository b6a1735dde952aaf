/** Every decision of a crew, newest first: what was proposed and decided, by whom, why, and what it rested on. Pauses are ended here. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import type { CrewEntry, DecisionEntry, PersonEntry } from "@kind-grip/core/api";
import { responseApi } from "./api";
import { crewApi } from "../crew/api";
import { problemOf } from "../base/api";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Why } from "../parts/Why";
import { DecisionMark } from "./DecisionMark";
import { changeText, DECISION_WORDS, firedText } from "./response-text";

export function DecisionHistory({ crew }: { crew: CrewEntry }) {
  const people = crewApi.usePeopleQuery(crew.id);
  // Nobody is called gone while it is not known who is here.
  return <Loaded query={people}>{(list) => <Pages crew={crew} people={list} />}</Loaded>;
}

function Pages({ crew, people }: { crew: CrewEntry; people: readonly PersonEntry[] }) {
  const [page, setPage] = useState(0);
  const query = responseApi.useDecisionHistoryQuery({ crewId: crew.id, page });
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? t("somebody gone");
  return (
    <Loaded query={query}>
      {({ decisions, total, pageSize }) =>
        total === 0 ? (
          <Empty title={t("Nothing decided yet")} text={t("Each decision is kept here with the rules and figures it rested on.")} />
        ) : (
          <>
            {decisions.map((decision) => (
              <Line key={decision.id} decision={decision} name={nameOf(decision.personId)} timeZone={crew.timeZone} />
            ))}
            {total > pageSize && (
              <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 2 }}>
                <Button disabled={page === 0} onClick={() => setPage(page - 1)}>
                  {t("Newer")}
                </Button>
                <Typography>
                  {t("{{first}}–{{last}} of {{total}}", {
                    first: page * pageSize + 1,
                    last: Math.min(total, (page + 1) * pageSize),
                    total,
                  })}
                </Typography>
                <Button disabled={(page + 1) * pageSize >= total} onClick={() => setPage(page + 1)}>
                  {t("Older")}
                </Button>
              </Box>
            )}
          </>
        )
      }
    </Loaded>
  );
}

function Line({ decision, name, timeZone }: { decision: DecisionEntry; name: string; timeZone: string }) {
  const words = useWords();
  const [ending, setEnding] = useState(false);
  const { proposed, decided, response, movementId, settings, settingsVersion } = decision;
  const paused = decided === "pauseAndRefer" && decision.resumedAt === null;
  const day = (at: string) => dateText(DateTime.fromISO(at, { zone: timeZone }), "d LLL, HH:mm");
  const change = changeText({ ...response, kind: decided }, movementId, words);
  return (
    <Box
      component="article"
      aria-label={`${name}, ${words.movementName(movementId)}, ${day(decision.decidedAt)}`}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "130px 170px 1fr auto" },
        columnGap: 2,
        py: 1,
        borderTop: "1px solid",
        borderColor: "line",
        alignItems: "start",
      }}
    >
      <Typography sx={{ color: "text.secondary" }}>{day(decision.decidedAt)}</Typography>
      <DecisionMark kind={decided} />
      <Box>
        <Typography>
          <strong>{name}</strong> · {words.movementName(movementId)}. {change}
        </Typography>
        {proposed !== decided && (
          <Typography>
            {t("Instead of {{decisionWords}}: {{why}}", { decisionWords: DECISION_WORDS[proposed].toLowerCase(), why: decision.why ?? "" })}
          </Typography>
        )}
        {decision.resumedAt && (
          <Typography>
            {t("Taken up again {{resumedAt}}: {{resumedWhy}}", {
              resumedAt: day(decision.resumedAt),
              resumedWhy: decision.resumedWhy ?? "",
            })}
          </Typography>
        )}
        <Why label={t("By {{by}}: what it rested on", { by: decision.by })}>
          {response.fired.map((fired, i) => (
            <Typography key={i}>{firedText(fired)}</Typography>
          ))}
          <Typography sx={{ color: "text.secondary" }}>
            {t(
              "Thresholds, version {{settingsVersion}}: {{progressRuns}} clean runs, effort {{progressMargin}} below the cap, mornings up by {{settlingRise}} expected for {{settlingDays}} days, no better after {{noGainDays}} days with {{noGainPercent}} % done.",
              {
                settingsVersion,
                progressRuns: settings.progressRuns,
                progressMargin: settings.progressMargin,
                settlingRise: settings.settlingRise,
                settlingDays: settings.settlingDays,
                noGainDays: settings.noGainDays,
                noGainPercent: settings.noGainPercent,
              },
            )}
          </Typography>
        </Why>
      </Box>
      {paused && (
        <Button variant="outlined" onClick={() => setEnding(true)}>
          {t("Take up again")}
        </Button>
      )}
      {ending && (
        <ResumeDialog
          id={decision.id}
          title={t("{{name}}: {{name2}} again", { name, name2: words.movementName(movementId).toLowerCase() })}
          onClose={() => setEnding(false)}
        />
      )}
    </Box>
  );
}

function ResumeDialog({ id, title, onClose }: { id: string; title: string; onClose(): void }) {
  const [resume, { isLoading, error }] = responseApi.useResumeMutation();
  const [why, setWhy] = useState("");
  const problem = error ? problemOf(error) : undefined;
  const store = async () => {
    if (!(await resume({ id, why })).error) onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="resume-title" fullWidth maxWidth="sm">
      <DialogTitle id="resume-title">{title}</DialogTitle>
      <DialogContent>
        <TextField
          label={t("Why: who looked at it, and what they said")}
          multiline
          minRows={2}
          value={why}
          onChange={(event) => setWhy(event.target.value)}
          error={!!problem}
          helperText={problem ? (problem.fields[0]?.message ?? problem.message) : " "}
          sx={{ mt: 1 }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={isLoading || why.trim().length < 3} onClick={() => void store()}>
          {t("Take up again")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
