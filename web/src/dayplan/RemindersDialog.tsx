/** What goes out from a plan: reminders to people, calendars to subscribe to by a secret link that can be withdrawn. */
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Link as TextLink,
  MenuItem,
  TextField,
  Typography,
} from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { CrewEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { peopleOptions } from "../crew/people-options";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { dayPlanApi } from "./api";
import { crewApi } from "../crew/api";
import { problemOf } from "../base/api";
import { AWAKE_BEFORE_MIN, REMIND_MINUTES } from "@kind-grip/core/dayplan";
import { Choice } from "../parts/Choice";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Loaded } from "../parts/Loaded";
import { MadeAddress } from "./MadeAddress";

const STATE = { waiting: t("waiting"), sent: t("sent"), failed: t("not sent"), dropped: t("not needed") } as const;

const WAY = { push: t("to their phone"), email: t("by e-mail"), telephone: t("by telephone") } as const;

export function RemindersDialog({ crew, onClose }: { crew: CrewEntry; onClose(): void }) {
  const messages = dayPlanApi.useMessagesQuery(crew.id, { pollingInterval: 4000, refetchOnMountOrArgChange: true });
  const links = dayPlanApi.useCalendarLinksQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id).data ?? [];
  const today = dateAt(useNow(60_000), crew.timeZone);
  const gateway = dayPlanApi.useGatewayQuery().data?.address;
  const [make, making] = dayPlanApi.useMakeCalendarLinkMutation();
  const [withdraw, withdrawing] = dayPlanApi.useWithdrawCalendarLinkMutation();
  const failure = making.error ?? withdrawing.error;
  const stillGood = links.data?.some(({ id, withdrawnAt }) => id === making.originalArgs?.id && withdrawnAt === null);
  const [who, setWho] = useState("");
  const [ending, setEnding] = useState<string | null>(null);
  const nameOf = (id: string | null) =>
    id === null ? t("the whole crew") : (people.find((person) => person.id === id)?.name ?? t("somebody gone"));
  const day = (at: string) => dateText(DateTime.fromISO(at, { zone: crew.timeZone }), "d LLL, HH:mm");
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="outgoing">
      <DialogTitle id="outgoing">{t("Reminders and calendars")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 4 }}>
        <Box component="section" aria-label={t("Calendars")}>
          <Typography variant="h3" sx={{ mb: 1 }}>
            {t("Calendars to subscribe to")}
          </Typography>
          <Box sx={{ display: "flex", gap: 1.5, mb: 1.5 }}>
            <TextField
              select
              label={t("For")}
              value={who}
              onChange={(event) => setWho(event.target.value)}
              slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
            >
              <MenuItem value="">{t("the whole crew")}</MenuItem>
              {peopleOptions(people, today)}
            </TextField>
            <Button
              variant="outlined"
              disabled={making.isLoading}
              sx={{ whiteSpace: "nowrap" }}
              onClick={() => void make({ crewId: crew.id, id: uuid(), name: nameOf(who || null), personId: who || null })}
            >
              {t("Make a link")}
            </Button>
          </Box>
          {failure && (
            <Alert severity="error" variant="outlined">
              {problemOf(failure).message}
            </Alert>
          )}
          {making.data && stillGood && <MadeAddress path={making.data.path} />}
          <Loaded query={links}>
            {(list) => (
              <>
                {list.map((link) => (
                  <Box
                    key={link.id}
                    sx={{ display: "flex", alignItems: "center", gap: 1.5, borderTop: "1px solid", borderColor: "line", minHeight: 48 }}
                  >
                    <Typography sx={{ flex: 1, color: link.withdrawnAt ? "text.secondary" : "text.primary" }}>
                      <strong>{link.name}</strong>
                      {t(", made {{madeAt}}{{what}}", {
                        madeAt: day(link.madeAt),
                        what: link.withdrawnAt
                          ? t(", withdrawn {{withdrawnAt}}", { withdrawnAt: day(link.withdrawnAt) })
                          : link.lastReadAt
                            ? t(", last read {{lastReadAt}}", { lastReadAt: day(link.lastReadAt) })
                            : t(", not read yet"),
                      })}
                    </Typography>
                    {!link.withdrawnAt && <Button onClick={() => setEnding(link.id)}>{t("Withdraw")}</Button>}
                  </Box>
                ))}
              </>
            )}
          </Loaded>
        </Box>
        <Box component="section" aria-label={t("Reminders")}>
          <Typography variant="h3" sx={{ mb: 1 }}>
            {t("Reminders")}
          </Typography>
          <Automatic crewId={crew.id} />
          <Typography sx={{ color: "text.secondary", mb: 1 }}>
            {t("A placed session reminds its people from its own panel, each person once by each way they agreed to.")}
            {gateway && (
              <>
                {" "}
                {t("What goes by telephone goes to the")}{" "}
                <TextLink href={gateway} target="_blank" rel="noreferrer">
                  {t("message gateway, simulated on this machine")}
                </TextLink>
                .
              </>
            )}
          </Typography>
          <Loaded query={messages}>
            {(list) => (
              <>
                {list.length === 0 && <Typography>{t("Nobody was reminded yet.")}</Typography>}
                {list.map((message) => (
                  <Box
                    key={message.id}
                    sx={{
                      display: "grid",
                      gridTemplateColumns: "190px 1fr auto",
                      gap: 1.5,
                      borderTop: "1px solid",
                      borderColor: "line",
                      py: 0.75,
                    }}
                  >
                    <strong>{message.name}</strong>
                    <span>{message.text}</span>
                    <Box component="span" sx={{ color: message.state === "failed" ? "error.main" : "text.secondary" }}>
                      {STATE[message.state]} {WAY[message.way]}
                      {(message.state === "waiting" || message.state === "failed") &&
                        message.tries > 0 &&
                        t(", tried {{count}} times: {{problem}}", {
                          count: message.tries,
                          problem: message.problem ?? "",
                          defaultValue_one: ", tried once: {{problem}}",
                        })}
                    </Box>
                  </Box>
                ))}
              </>
            )}
          </Loaded>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t("Done")}
        </Button>
      </DialogActions>
      <ConfirmDialog
        open={ending !== null}
        title={t("Withdraw this calendar?")}
        confirm={t("Withdraw it")}
        onConfirm={() => {
          void withdraw({ crewId: crew.id, id: ending! });
          setEnding(null);
        }}
        onClose={() => setEnding(null)}
      >
        {t("Whoever subscribed to it gets nothing more.")}
      </ConfirmDialog>
    </Dialog>
  );
}

/** Who chose otherwise on their own phone keeps that. */
function Automatic({ crewId }: { crewId: string }) {
  const { data } = dayPlanApi.useReminderRuleQuery(crewId);
  const [change, { error }] = dayPlanApi.useChangeReminderRuleMutation();
  if (!data) return null;
  return (
    <Box sx={{ display: "grid", gap: 0.75, mb: 1.5 }}>
      <Typography>{t("By themselves, before each session")}</Typography>
      <Choice
        label={t("By themselves, before each session")}
        value={data.minutesBefore?.toString() ?? "off"}
        onChange={(value) => void change({ crewId, minutesBefore: REMIND_MINUTES.find((minutes) => String(minutes) === value) ?? null })}
        options={[
          { value: "off", label: t("Not at all") },
          ...REMIND_MINUTES.map((minutes) => ({ value: String(minutes), label: t("{{minutes}} min", { minutes }) })),
        ]}
      />
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "Nobody is written to while they are off: from {{hours}} h before their shift until its end, and before a session on a day off, only. Who chose otherwise on their phone keeps that.",
          {
            hours: AWAKE_BEFORE_MIN / 60,
          },
        )}
      </Typography>
      {error && (
        <Alert severity="error" variant="outlined">
          {problemOf(error).message}
        </Alert>
      )}
    </Box>
  );
}
