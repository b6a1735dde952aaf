/** The baseline rounds of a crew. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { BarChart3, Plus, Ruler } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { isApart, LEAST_PEOPLE } from "@kind-grip/core/baseline";
import { hasLeft } from "@kind-grip/core/crew";
import { dateAt } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import type { RoundEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { crewApi } from "../crew/api";
import { baselineApi, roundsOfCrew } from "./api";
import { problemOf } from "../base/api";
import { useNow } from "../base/now";
import { useTellFailure } from "../base/tell-failure";
import { useCrew } from "../crew/CrewFrame";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";
import { PageTitle } from "../parts/PageTitle";

export default function RoundsPage() {
  const crew = useCrew();
  const rounds = baselineApi.useRoundsQuery(crew.id, { refetchOnMountOrArgChange: true });
  const people = crewApi.usePeopleQuery(crew.id);
  const today = dateAt(useNow(), crew.timeZone);
  const [naming, setNaming] = useState(false);
  const here = (people.data ?? []).filter((person) => !hasLeft(person, today)).length;
  return (
    <Loaded query={rounds}>
      {(list) => (
        <>
          <PageTitle
            title={t("Baseline")}
            lead={t(
              "Safety questions first, then where something is felt, range, grip, and one test of the trade. About six minutes a person.",
            )}
          >
            {list.length > 0 && (
              <Button component={Link} to="/practice/measuring" startIcon={<Ruler size={20} />}>
                {t("Noise of your measuring")}
              </Button>
            )}
            {list.length > 0 && (
              <Button variant="outlined" startIcon={<Plus size={20} />} onClick={() => setNaming(true)}>
                {t("New round")}
              </Button>
            )}
          </PageTitle>
          {here === 0 ? (
            <Empty title={t("Nobody to measure yet")} text={t("Bring in the crew's people first.")}>
              <Button component={Link} to={`/crews/${crew.id}/people`} variant="contained">
                {t("Go to People")}
              </Button>
            </Empty>
          ) : list.length === 0 ? (
            <Empty
              title={t("What can the {{here}} of {{name}} do today?", { here, name: crew.name })}
              text={t(
                "Before anyone starts. A round can be stopped anywhere and gone on with later; what means stop holds a person out at once.",
              )}
            >
              <Button variant="contained" onClick={() => setNaming(true)}>
                {t("Begin a round")}
              </Button>
            </Empty>
          ) : (
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
              {list.map((round) => (
                <RoundLine key={round.id} round={round} first={list.find(({ id }) => id === round.repeats)} people={here} />
              ))}
            </Box>
          )}
          {naming && <NewRound crewId={crew.id} today={today} rounds={list} onClose={() => setNaming(false)} />}
        </>
      )}
    </Loaded>
  );
}

function RoundLine({ round, first, people: everybody }: { round: RoundEntry; first?: RoundEntry; people: number }) {
  // Of a second sitting: whoever was in the first.
  const people = first ? first.begun : everybody;
  const [change] = baselineApi.useChangeRoundMutation();
  const told = useTellFailure();
  const [remove] = baselineApi.useRemoveRoundMutation();
  const share = Math.min(1, round.finished / Math.max(1, people));
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1fr) 260px auto" },
        columnGap: 4,
        rowGap: 1,
        alignItems: "center",
        py: 2,
        borderTop: "1px solid",
        borderColor: "line",
      }}
    >
      <Box>
        <Typography variant="h2">{round.name}</Typography>
        <Typography sx={{ color: "text.secondary" }}>
          {t("begun {{date}}", { date: dateText(DateTime.fromISO(round.startedOn), "d LLLL yyyy") })}
          {round.closed && t(", closed")}
          {first && t(", measures {{name}} a second time", { name: first.name })}
        </Typography>
      </Box>
      <Box>
        <Typography sx={{ fontWeight: 650 }}>
          {t("{{finished}} of {{people}} measured", { finished: round.finished, people })}
          {round.begun > round.finished && t(", {{begun}} begun", { begun: round.begun - round.finished })}
        </Typography>
        <Box aria-hidden sx={{ height: 12, borderRadius: 6, bgcolor: "line", overflow: "hidden" }}>
          <Box sx={{ width: `${share * 100}%`, height: "100%", bgcolor: "primary.main" }} />
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button
          component={Link}
          to={round.id}
          variant={round.closed || share === 1 ? "outlined" : "contained"}
          aria-label={t("Open {{name}}", { name: round.name })}
        >
          {round.begun === 0 ? t("Begin") : round.closed ? t("Look at it") : t("Go on")}
        </Button>
        <Button
          component={Link}
          to={`${round.id}/findings`}
          variant="outlined"
          startIcon={<BarChart3 size={18} />}
          disabled={round.begun === 0}
          aria-label={t("Findings of {{name}}", { name: round.name })}
        >
          {t("Findings")}
        </Button>
        <Button
          onClick={() =>
            void told(round.begun === 0 ? remove(round.id) : change({ id: round.id, name: round.name, closed: !round.closed }))
          }
        >
          {round.begun === 0 ? t("Remove") : round.closed ? t("Open again") : t("Close")}
        </Button>
      </Box>
    </Box>
  );
}

interface NewRoundProps {
  crewId: string;
  today: string;
  rounds: readonly RoundEntry[];
  onClose(): void;
}

function NewRound({ crewId, today, rounds, onClose }: NewRoundProps) {
  const own = roundsOfCrew(rounds)!;
  // Of the latest round in which somebody was measured; later than four weeks after it hands may have changed.
  const first = own.find(({ begun, startedOn }) => begun > 0 && isApart(startedOn, today));
  const usualName = `${own.length === 0 ? t("Baseline") : t("Re-measure")} ${dateText(DateTime.fromISO(today), "LLLL yyyy")}`;
  const [id] = useState(() => uuid());
  const [kind, setKind] = useState<"own" | "repeat">("own");
  const [name, setName] = useState(usualName);
  const [asksOnPhones, setAsksOnPhones] = useState(true);
  const [create, { error, isLoading }] = baselineApi.useCreateRoundMutation();
  const navigate = useNavigate();
  const problem = error ? problemOf(error) : undefined;
  const secondName = first && t("{{name}}, second sitting", { name: first.name });
  const take = (chosen: "own" | "repeat") => {
    setKind(chosen);
    // A name of one's own stays.
    if (name === usualName || name === secondName) setName(chosen === "repeat" ? secondName! : usualName);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="round-title" fullWidth maxWidth="xs">
      <DialogTitle id="round-title">{t("A new round")}</DialogTitle>
      <Box
        component="form"
        noValidate
        onSubmit={async (event) => {
          event.preventDefault();
          const repeats = kind === "repeat" ? first!.id : null;
          const answer = await create({ crewId, id, name, asksOnPhones: asksOnPhones && !repeats, repeats });
          if (answer.data) void navigate(`/crews/${crewId}/baseline/${id}`);
        }}
      >
        <DialogContent>
          {first && (
            <Box sx={{ mb: 2 }}>
              <Choice
                label={t("What is measured")}
                options={[
                  { value: "own", label: t("A new round") },
                  { value: "repeat", label: t("The same again") },
                ]}
                value={kind}
                onChange={take}
              />
            </Box>
          )}
          <TextField
            label={t("Name")}
            value={name}
            onChange={(event) => setName(event.target.value)}
            autoFocus
            error={!!problem}
            helperText={problem && (problem.fields[0] ? problem.fields[0].message : problem.message)}
            sx={{ mt: 1 }}
          />
          {kind === "repeat" ? (
            <Typography sx={{ color: "text.secondary", mt: 2 }}>
              {t(
                "The people of {{name}} are measured a second time, without its figures in view. What differs is the noise of your measuring; from {{people}} people on it can take the place of the usual rules.",
                { name: first!.name, people: LEAST_PEOPLE },
              )}
            </Typography>
          ) : (
            <Box sx={{ mt: 2 }}>
              <Toggle label={t("Asked on their phones first")} pressed={asksOnPhones} onChange={setAsksOnPhones} />
              <Typography sx={{ color: "text.secondary", mt: 0.75 }}>
                {t("Safety, symptoms and main hand, three minutes in their own language. You see first whom to see.")}
              </Typography>
            </Box>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>{t("Cancel")}</Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t("Begin")}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
