/** One's own name and address, and leaving the practice. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState, type FormEvent } from "react";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { authApi } from "../auth/api";
import { WholeProblem } from "../parts/WholeProblem";

export function OwnAccount({ name, email }: { name: string; email: string }) {
  const [save, { isLoading, error }] = authApi.useSaveOwnNameMutation();
  const [typed, setTyped] = useState({ name, email, password: "" });
  const [leaving, setLeaving] = useState(false);
  const dispatch = useAppDispatch();
  const problem = error ? problemOf(error) : undefined;
  const field = (path: string) => problem?.fields.find((each) => each.path === path)?.message;
  const change = (part: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...part }));
  const isOther = typed.email.trim().toLowerCase() !== email;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const done = await save(typed);
    if ("error" in done) return;
    change({ password: "" });
    dispatch(notify({ text: t("Saved.") }));
  };
  return (
    <Box component="form" onSubmit={submit} noValidate aria-label={t("You")} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("You")}</Typography>
      <WholeProblem problem={problem} />
      <TextField
        label={t("Your name")}
        autoComplete="name"
        value={typed.name}
        onChange={(event) => change({ name: event.target.value })}
        error={!!field("name")}
        helperText={field("name")}
      />
      <TextField
        label={t("Your e-mail address")}
        type="email"
        autoComplete="username"
        value={typed.email}
        onChange={(event) => change({ email: event.target.value })}
        error={!!field("email")}
        helperText={field("email") ?? t("You sign in with it.")}
      />
      {isOther && (
        <TextField
          label={t("Your password, for another address")}
          type="password"
          autoComplete="current-password"
          value={typed.password}
          onChange={(event) => change({ password: event.target.value })}
          error={!!field("password")}
          helperText={field("password")}
        />
      )}
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        <Button type="submit" variant="outlined" disabled={isLoading || (typed.name === name && !isOther)}>
          {t("Save it")}
        </Button>
        <Button color="error" onClick={() => setLeaving(true)}>
          {t("Leave the practice")}
        </Button>
      </Box>
      {leaving && <LeaveDialog onClose={() => setLeaving(false)} />}
    </Box>
  );
}

function LeaveDialog({ onClose }: { onClose(): void }) {
  const [leave, { isLoading, error }] = authApi.useLeavePracticeMutation();
  const [password, setPassword] = useState("");
  const problem = error ? problemOf(error) : undefined;
  return (
    <Dialog open onClose={onClose} aria-labelledby="leave-title">
      <DialogTitle id="leave-title">{t("Leave the practice?")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Typography>
          {t("Your sign-in ends at once, everywhere. What you did stays in the records. To come back you have to be invited.")}
        </Typography>
        <WholeProblem problem={problem} />
        <TextField
          label={t("Your password")}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={(problem?.fields.length ?? 0) > 0}
          helperText={problem?.fields[0]?.message}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Stay")}</Button>
        <Button color="error" variant="contained" disabled={isLoading || password === ""} onClick={() => void leave(password)}>
          {t("Leave it")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
