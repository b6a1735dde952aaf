/** Making a token: a name, what it is for, until when, one's password; then the token itself, the only time it is seen. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState, type FormEvent } from "react";
import { TOKEN_DAYS, type NewApiToken, type Scope } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { daysText } from "../base/amounts";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { CopyField } from "../parts/CopyField";
import { WholeProblem } from "../parts/WholeProblem";
import { ScopeTable } from "./ScopeTable";
import { tokenApi } from "./api";

export function MakeTokenDialog({ onClose }: { onClose(): void }) {
  const [make, { isLoading, error, data }] = tokenApi.useMakeApiTokenMutation();
  const [name, setName] = useState("");
  const [scopes, setScopes] = useState<Scope[]>([]);
  const [days, setDays] = useState<NewApiToken["days"]>(90);
  const [password, setPassword] = useState("");
  const problem = error ? problemOf(error) : undefined;
  const field = (path: string) => problem?.fields.find((each) => each.path === path || each.path.startsWith(`${path}.`))?.message;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void make({ name, scopes, days, password });
  };
  if (data)
    return (
      <Dialog key="made" open aria-labelledby="token-title" fullWidth maxWidth="sm">
        <DialogTitle id="token-title">{t("The token “{{name}}”", { name: name.trim() })}</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2 }}>
          <Typography>
            {t("Put it where the program keeps its secrets. It is shown only now: nobody can look it up later, you neither.")}
          </Typography>
          <CopyField label={t("Token")} value={data.token} />
          <CopyField
            label={t("To try it")}
            value={`curl -H "Authorization: Bearer ${data.token}" ${location.origin}/api/${addressFor(scopes)}`}
          />
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={onClose}>
            {t("I have it")}
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="token-title" fullWidth maxWidth="sm">
      <Box component="form" onSubmit={submit} noValidate sx={{ display: "contents" }}>
        <DialogTitle id="token-title">{t("Make a token")}</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2, pt: "8px !important" }}>
          <TextField
            label={t("Which program it is for")}
            value={name}
            autoFocus
            onChange={(event) => setName(event.target.value)}
            error={!!field("name")}
            helperText={field("name") ?? t("It stands beside what the program did, in the trail too.")}
          />
          <Box>
            <ScopeTable chosen={scopes} onChange={setScopes} />
            {field("scopes") && <Typography sx={{ color: "error.main" }}>{field("scopes")}</Typography>}
          </Box>
          {scopes.includes("health.read") && (
            <Alert severity="warning" variant="outlined">
              {t("Whoever has this token reads health answers of people by name. Each reading is in the trail of their crew.")}
            </Alert>
          )}
          <Box>
            <Typography sx={{ mb: 0.5 }}>{t("Good for")}</Typography>
            <Choice
              label={t("Good for")}
              value={`${days}`}
              onChange={(chosen) => setDays(TOKEN_DAYS.find((each) => `${each}` === chosen)!)}
              options={TOKEN_DAYS.map((each) => ({ value: `${each}`, label: daysText(each) }))}
            />
          </Box>
          <TextField
            label={t("Your password")}
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            error={!!field("password")}
            helperText={field("password")}
          />
          <WholeProblem problem={problem} />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>{t("Not now")}</Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t("Make it")}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

/** Something a token of these scopes may call without knowing anything. */
function addressFor(scopes: readonly Scope[]): string {
  if (scopes.includes("crews.read")) return "crews";
  if (scopes.includes("programs.read")) return "movements";
  return scopes.includes("health.read") ? "today" : "openapi.json";
}
