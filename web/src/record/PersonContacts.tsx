/** Where a person agreed to be reminded, who wrote it down and since when; written down for who has no phone of their own, and taken back. */
import { Alert, Box, Button, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { ContactEntry } from "@kind-grip/core/api";
import { WRITTEN_WAYS, type ContactWay, type WrittenWay } from "@kind-grip/core/contact";
import { DateTime } from "luxon";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { recordApi } from "./api";

const NAMES: Record<ContactWay, string> = { push: t("Their phone"), email: t("E-mail"), telephone: t("Telephone") };

interface PersonContactsProps {
  crewId: string;
  personId: string;
  name: string;
  timeZone: string;
}

export function PersonContacts({ crewId, personId, name, timeZone }: PersonContactsProps) {
  const { data, error, refetch } = recordApi.useContactsQuery(crewId);
  const [withdraw, { error: kept }] = recordApi.useWithdrawContactMutation();
  const [asking, setAsking] = useState(false);
  const [ending, setEnding] = useState<ContactEntry | null>(null);
  if (!data)
    return error ? (
      <Alert severity="error" variant="outlined" action={<Button onClick={() => void refetch()}>{t("Try again")}</Button>}>
        {problemOf(error).message}
      </Alert>
    ) : null;
  const own = data.filter((each) => each.personId === personId);
  const there = own.filter(({ withdrawnAt }) => withdrawnAt === null);
  const day = (at: string) => dateText(DateTime.fromISO(at, { zone: timeZone }), "d LLL yyyy");
  return (
    <Box component="section" aria-labelledby="contacts" sx={{ maxWidth: 760 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap", mb: 1 }}>
        <Typography id="contacts" variant="h3">
          {t("Reminders reach them by")}
        </Typography>
        {!asking && <Button onClick={() => setAsking(true)}>{t("Write an address down")}</Button>}
      </Box>
      {own.length === 0 && !asking && (
        <Typography sx={{ color: "text.secondary" }}>
          {t("No way yet. They give it on their own phone under My four weeks, or tell you.")}
        </Typography>
      )}
      {kept && (
        <Alert severity="error" variant="outlined" sx={{ mb: 1 }}>
          {problemOf(kept).message}
        </Alert>
      )}
      {there.map((contact) => (
        <Box
          key={contact.id}
          sx={{ display: "flex", gap: 2, alignItems: "center", borderTop: "1px solid", borderColor: "line", minHeight: 52 }}
        >
          <Typography sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
            {NAMES[contact.way]} <strong>{contact.address}</strong>{" "}
            <Box component="span" sx={{ color: "text.secondary" }}>
              {contact.givenBy === null
                ? t("agreed themselves on {{day}}", { day: day(contact.givenAt) })
                : t("agreed on {{day}}, written down by {{name}}", { day: day(contact.givenAt), name: contact.givenBy })}
            </Box>
          </Typography>
          <Button onClick={() => setEnding(contact)}>{t("Take it back")}</Button>
        </Box>
      ))}
      {own
        .filter(({ withdrawnAt }) => withdrawnAt !== null)
        .map(({ id, way, givenAt, withdrawnAt, withdrawnBy }) => (
          <Typography key={id} sx={{ color: "text.secondary", borderTop: "1px solid", borderColor: "line", py: 1 }}>
            {t("{{way}}: agreed on {{from}}, taken back on {{until}} by {{who}}. The address is forgotten.", {
              way: NAMES[way],
              from: day(givenAt),
              until: day(withdrawnAt!),
              who: withdrawnBy ?? t("themselves"),
            })}
          </Typography>
        ))}
      {asking && <Ask crewId={crewId} personId={personId} name={name} onDone={() => setAsking(false)} />}
      <ConfirmDialog
        open={ending !== null}
        title={t("Take this consent back?")}
        confirm={t("Take it back")}
        onConfirm={() => {
          void withdraw({ crewId, personId, contactId: ending!.id });
          setEnding(null);
        }}
        onClose={() => setEnding(null)}
      >
        {t("The address is forgotten, and nothing more goes there. That there was a consent, and until when, stays on record.")}
      </ConfirmDialog>
    </Box>
  );
}

function Ask({ crewId, personId, name, onDone }: { crewId: string; personId: string; name: string; onDone(): void }) {
  const [give, { isLoading, error }] = recordApi.useGiveContactMutation();
  const [way, setWay] = useState<WrittenWay>("email");
  const [address, setAddress] = useState("");
  const [agreed, setAgreed] = useState(false);
  const problem = error ? problemOf(error) : undefined;
  const field = problem?.fields.find(({ path }) => path === "address")?.message;
  const send = async () => {
    const { error: refused } = await give({ crewId, personId, contact: { way, address } });
    if (!refused) onDone();
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
      sx={{ display: "grid", gap: 1.5, borderTop: "1px solid", borderColor: "line", pt: 2 }}
    >
      {problem && field === undefined && (
        <Alert severity="error" variant="outlined">
          {problem.message}
        </Alert>
      )}
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        <TextField select label={t("Way")} value={way} onChange={({ target }) => setWay(target.value as WrittenWay)} sx={{ width: 160 }}>
          {WRITTEN_WAYS.map((each) => (
            <MenuItem key={each} value={each}>
              {NAMES[each]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={way === "email" ? t("E-mail address") : t("Number with + and country")}
          type={way === "email" ? "email" : "tel"}
          value={address}
          autoFocus
          onChange={({ target }) => setAddress(target.value)}
          error={field !== undefined}
          helperText={field}
          sx={{ flex: "1 1 260px" }}
        />
      </Box>
      <FormControlLabel
        control={<Checkbox checked={agreed} onChange={(_, checked) => setAgreed(checked)} />}
        label={t("{{name}} told me that they agree to be reminded of their sessions there, and that it is used for nothing else", { name })}
      />
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <Button type="submit" variant="contained" disabled={!agreed || address.trim() === "" || isLoading}>
          {t("Keep it")}
        </Button>
        <Button onClick={onDone}>{t("Leave it")}</Button>
      </Box>
    </Box>
  );
}
