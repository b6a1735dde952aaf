/** One's passkeys: added with the password, named, taken out. */
import { Alert, Box, Button, TextField, Typography } from "@mui/material";
import { KeyRound, Trash2 } from "lucide-react";
import { DateTime } from "luxon";
import { useState, type FormEvent } from "react";
import { authApi } from "../auth/api";
import { knowsPasskeys, makePasskey } from "../auth/passkey";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { Loaded } from "../parts/Loaded";
import { deviceName } from "../base/device-name";
import { useTellFailure } from "../base/tell-failure";

const day = (iso: string) => dateText(DateTime.fromISO(iso), "d LLL yyyy");

export function PasskeyList() {
  const query = authApi.usePasskeysQuery();
  const told = useTellFailure();
  const [remove] = authApi.useRemovePasskeyMutation();
  const [adding, setAdding] = useState(false);
  return (
    <Box component="section" aria-label={t("Passkeys")} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("Passkeys")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "Sign in with what unlocks this device: a finger, a face, its PIN. Nothing has to be remembered, and nothing can be given away.",
        )}
      </Typography>
      <Loaded query={query}>
        {(passkeys) => (
          <>
            {passkeys.map(({ id, name, addedAt, usedAt }) => (
              <Box key={id} sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 48 }}>
                <KeyRound size={22} aria-hidden />
                <Typography sx={{ flex: 1 }}>
                  <strong>{name}</strong>{" "}
                  <Box component="span" sx={{ color: "text.secondary" }}>
                    {usedAt === null
                      ? t("added {{date}}, not used yet", { date: day(addedAt) })
                      : t("added {{date}}, last used {{used}}", { date: day(addedAt), used: day(usedAt) })}
                  </Box>
                </Typography>
                <Button
                  aria-label={t("Take out the passkey {{name}}", { name })}
                  startIcon={<Trash2 size={18} />}
                  onClick={() => void told(remove(id))}
                >
                  {t("Take out")}
                </Button>
              </Box>
            ))}
            {adding ? (
              <Add onDone={() => setAdding(false)} />
            ) : knowsPasskeys() ? (
              <Box>
                <Button variant="outlined" onClick={() => setAdding(true)}>
                  {t("Add a passkey")}
                </Button>
              </Box>
            ) : (
              <Typography>
                {t("This browser, or this address, has no passkeys: they need an address with a name over HTTPS, or localhost.")}
              </Typography>
            )}
          </>
        )}
      </Loaded>
    </Box>
  );
}

function Add({ onDone }: { onDone(): void }) {
  const [ask, asked] = authApi.useAskForPasskeyMutation();
  const [add, added] = authApi.useAddPasskeyMutation();
  const [name, setName] = useState(deviceName(navigator.userAgent).name);
  const [password, setPassword] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const error = asked.error ?? added.error;
  const problem = error ? problemOf(error) : undefined;
  const at = (path: string) => problem?.fields.find((field) => field.path === path)?.message;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setSaid(null);
    const question = await ask(password);
    if (!question.data) return;
    const answer = await makePasskey(question.data);
    if (answer === null) setSaid(t("No passkey was made. Try again when you like."));
    else if ("problem" in answer) setSaid(answer.problem as string);
    else if (!("error" in (await add({ name, answer })))) onDone();
  };
  return (
    <Box component="form" onSubmit={(event) => void submit(event)} noValidate sx={{ display: "grid", gap: 1.5 }}>
      <TextField
        label={t("What you call this device")}
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={!!at("name")}
        helperText={at("name")}
      />
      <TextField
        label={t("Your password")}
        type="password"
        autoFocus
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={!!at("password")}
        helperText={at("password")}
      />
      {(said ?? (problem && (at("answer") ?? (problem.fields.length === 0 ? problem.message : null)))) && (
        <Alert severity="warning" variant="outlined">
          {said ?? at("answer") ?? problem?.message}
        </Alert>
      )}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" disabled={asked.isLoading || added.isLoading || password === "" || name.trim() === ""}>
          {t("Make it")}
        </Button>
        <Button onClick={onDone}>{t("Cancel")}</Button>
      </Box>
    </Box>
  );
}
