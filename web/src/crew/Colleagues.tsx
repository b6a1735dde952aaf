/** With whom a crew is shared: its trainer invites colleagues and ends it; a colleague sees whose it is, and leaves. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { CrewColleagues, CrewEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { useTellFailure } from "../base/tell-failure";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { crewApi } from "./api";

export function Colleagues({ crew }: { crew: CrewEntry }) {
  const { data } = crewApi.useColleaguesQuery(crew.id);
  if (!data) return null;
  return (
    <Box
      component="section"
      aria-label={t("Shared with")}
      sx={{ mt: 5, maxWidth: 920, borderTop: "2px solid", borderColor: "line", pt: 2 }}
    >
      <Typography variant="h2">{t("Shared with")}</Typography>
      {data.own ? <OwnCrew crewId={crew.id} sharing={data} /> : <ColleaguesCrew crew={crew} sharing={data} />}
    </Box>
  );
}

function OwnCrew({ crewId, sharing: { colleagues, others } }: { crewId: string; sharing: CrewColleagues }) {
  const [invite, { isLoading, error }] = crewApi.useInviteColleagueMutation();
  const told = useTellFailure();
  const [end] = crewApi.useEndSharingMutation();
  const [chosen, setChosen] = useState("");
  const [handOver, handing] = crewApi.useHandOverCrewMutation();
  const [heir, setHeir] = useState<CrewColleagues["colleagues"][number] | null>(null);
  const [ending, setEnding] = useState<CrewColleagues["colleagues"][number] | null>(null);
  return (
    <>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {t("A colleague who accepts works with this crew as you do. Removing it and giving it to leads or employers stays yours.")}
      </Typography>
      {colleagues.map((colleague) => (
        <Box key={colleague.accountId} sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap", minHeight: 48 }}>
          <Typography sx={{ flex: 1, minWidth: 220 }}>
            <strong>{colleague.name}</strong>{" "}
            <Box component="span" sx={{ color: "text.secondary" }}>
              {colleague.accepted ? colleague.email : t("invited, not answered yet")}
            </Box>
          </Typography>
          {colleague.accepted && (
            <Button onClick={() => setHeir(colleague)} aria-label={t("Hand the crew to {{name}}", { name: colleague.name })}>
              {t("Hand over")}
            </Button>
          )}
          <Button
            onClick={() => (colleague.accepted ? setEnding(colleague) : void told(end({ crewId, accountId: colleague.accountId })))}
            aria-label={
              colleague.accepted
                ? t("End sharing with {{name}}", { name: colleague.name })
                : t("Take the invitation of {{name}} back", { name: colleague.name })
            }
          >
            {colleague.accepted ? t("End sharing") : t("Take back")}
          </Button>
        </Box>
      ))}
      {others.length > 0 ? (
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "flex-end", flexWrap: "wrap", mt: 1 }}>
          <TextField
            select
            label={t("A colleague")}
            value={chosen}
            onChange={(event) => setChosen(event.target.value)}
            sx={{ minWidth: 280 }}
          >
            {others.map(({ accountId, name, email }) => (
              <MenuItem key={accountId} value={accountId}>
                {t("{{name}}, {{email}}", { name, email })}
              </MenuItem>
            ))}
          </TextField>
          <Button
            variant="outlined"
            disabled={chosen === "" || isLoading}
            onClick={() => void invite({ crewId, accountId: chosen }).then(({ error }) => error === undefined && setChosen(""))}
          >
            {t("Invite")}
          </Button>
        </Box>
      ) : (
        colleagues.length === 0 && <Typography>{t("There is no other trainer in this practice.")}</Typography>
      )}
      <ConfirmDialog
        open={heir !== null}
        title={t("Hand the crew to {{name}}?", { name: heir?.name ?? "" })}
        confirm={t("Hand it over")}
        onConfirm={() => {
          void handOver({ crewId, accountId: heir!.accountId });
          setHeir(null);
        }}
        onClose={() => setHeir(null)}
      >
        {t("It is theirs from then on, and shared with you: they can hand it back, or end the sharing. Leads and employers keep it.")}
      </ConfirmDialog>
      {(error ?? handing.error) !== undefined && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf((error ?? handing.error)!).message}
        </Typography>
      )}
      <ConfirmDialog
        open={ending !== null}
        title={t("End sharing with {{name}}?", { name: ending?.name ?? "" })}
        confirm={t("End it")}
        onConfirm={() => {
          void told(end({ crewId, accountId: ending!.accountId }));
          setEnding(null);
        }}
        onClose={() => setEnding(null)}
      >
        {t("They are out of this crew at once. What they did stays in its records.")}
      </ConfirmDialog>
    </>
  );
}

function ColleaguesCrew({ crew, sharing: { trainer, colleagues } }: { crew: CrewEntry; sharing: CrewColleagues }) {
  const [leave] = crewApi.useDeclineInvitationMutation();
  const [asking, setAsking] = useState(false);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const go = async () => {
    const { error } = await leave(crew.id);
    dispatch(
      notify({ text: error ? problemOf(error).message : t("{{crew}} is {{name}}'s alone again.", { crew: crew.name, name: trainer }) }),
    );
    if (!error) await navigate("/crews");
  };
  return (
    <>
      <Typography>
        {t("This crew is {{name}}'s and shared with {{people}}.", { name: trainer, people: colleagues.map(({ name }) => name).join(", ") })}
      </Typography>
      <Button variant="outlined" sx={{ mt: 1 }} onClick={() => setAsking(true)}>
        {t("Leave this crew")}
      </Button>
      <ConfirmDialog
        open={asking}
        title={t("Leave {{name}}?", { name: crew.name })}
        confirm={t("Leave it")}
        onConfirm={() => {
          setAsking(false);
          void go();
        }}
        onClose={() => setAsking(false)}
      >
        {t("What you did stays in its records. To come back, {{name}} has to invite you again.", { name: trainer })}
      </ConfirmDialog>
    </>
  );
}
