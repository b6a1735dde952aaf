/** The baseline rounds of a crew. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { BarChart3, Plus } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { isHere } from "@kind-grip/core/crew";
import { dateAt } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import type { RoundEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { crewApi } from "../crew/api";
import { baselineApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { useCrew } from "../crew/CrewFrame";
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
  const here = (people.data ?? []).filter((person) => isHere(person, today)).length;
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
                <RoundLine key={round.id} round={round} people={here} />
              ))}
            </Box>
          )}
          {naming && <NewRound crewId={crew.id} today={today} first={list.length === 0} onClose={() => setNaming(false)} />}
        </>
      )}
    </Loaded>
  );
}

function RoundLine({ round, people }: { round: RoundEntry; people: number }) {
  const [change] = baselineApi.useChangeRoundMutation();
  const [remove] = baselineApi.useRemoveRoundMutation();
  const dispatch = useAppDispatch();
  const close = async () => {
    const answer = await change({ id: round.id, name: round.name, closed: !round.closed });
    if (answer.error) dispatch(notify({ text: problemOf(answer.error).message }));
  };
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
        <Button onClick={() => void (round.begun === 0 ? remove(round.id) : close())}>
          {round.begun === 0 ? t("Remove") : round.closed ? t("Open again") : t("Close")}
        </Button>
      </Box>
    </Box>
  );
}

function NewRound({ crewId, today, first, onClose }: { crewId: string; today: string; first: boolean; onClose(): void }) {
  const [id] = useState(() => uuid());
  const [name, setName] = useState(`${first ? t("Baseline") : t("Re-measure")} ${dateText(DateTime.fromISO(today), "LLLL yyyy")}`);
  const [asksOnPhones, setAsksOnPhones] = useState(true);
  const [create, { error, isLoading }] = baselineApi.useCreateRoundMutation();
  const navigate = useNavigate();
  const problem = error ? problemOf(error) : undefined;
  return (
    <Dialog open onClose={onClose} aria-labelledby="round-title" fullWidth maxWidth="xs">
      <DialogTitle id="round-title">{t("A new round")}</DialogTitle>
      <Box
        component="form"
        noValidate
        onSubmit={async (event) => {
          event.preventDefault();
          const answer = await create({ crewId, id, name, asksOnPhones });
          if (answer.data) void navigate(`/crews/${crewId}/baseline/${id}`);
        }}
      >
        <DialogContent>
          <TextField
            label={t("Name")}
            value={name}
            onChange={(event) => setName(event.target.value)}
            autoFocus
            error={!!problem}
            helperText={problem && (problem.fields[0] ? problem.fields[0].message : problem.message)}
            sx={{ mt: 1 }}
          />
          <Box sx={{ mt: 2 }}>
            <Toggle label={t("Asked on their phones first")} pressed={asksOnPhones} onChange={setAsksOnPhones} />
            <Typography sx={{ color: "text.secondary", mt: 0.75 }}>
              {t("Safety, symptoms and main hand, three minutes in their own language. You see first whom to see.")}
            </Typography>
          </Box>
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
