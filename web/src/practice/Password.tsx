/** Changing one's own password. */
import { Alert, Box, Button, TextField, Typography } from "@mui/material";
import { type FormEvent, useState } from "react";
import { t } from "../base/words";
import { problemOf } from "../base/api";
import { authApi } from "../auth/api";
import { NewPasswordField } from "../auth/NewPasswordField";
import { WholeProblem } from "../parts/WholeProblem";

export function Password() {
  const [change, { isLoading, error, isSuccess, reset }] = authApi.useChangePasswordMutation();
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const problem = error ? problemOf(error) : undefined;
  const message = (path: string) => problem?.fields.find((field) => field.path === path)?.message;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const done = await change({ current, next });
    if ("error" in done) return;
    setCurrent("");
    setNext("");
  };
  return (
    <Box component="form" onSubmit={submit} noValidate sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("Your password")}</Typography>
      {isSuccess && (
        <Alert severity="success" variant="outlined" onClose={reset}>
          {t("Your password is changed. Wherever else you were signed in, you are signed out.")}
        </Alert>
      )}
      <WholeProblem problem={problem} />
      <TextField
        label={t("Password now")}
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={(event) => setCurrent(event.target.value)}
        error={!!message("current")}
        helperText={message("current")}
      />
      <NewPasswordField label={t("New password")} value={next} onChange={setNext} problem={message("next")} />
      <Box>
        <Button type="submit" variant="outlined" disabled={isLoading}>
          {t("Change it")}
        </Button>
      </Box>
    </Box>
  );
}
