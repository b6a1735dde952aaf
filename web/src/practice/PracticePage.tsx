/** The practice: its name, one's own password, the floor's light, signing out. */
import { Alert, Box, Button, TextField, Typography } from "@mui/material";
import { useColorScheme } from "@mui/material/styles";
import { type FormEvent, useState } from "react";
import { problemOf, serverApi } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch } from "../app/store";
import { Choice } from "../parts/Choice";
import { PageTitle } from "../parts/PageTitle";
import { SettingsForm } from "./SettingsForm";
import { Staff } from "./Staff";

export default function PracticePage() {
  const { data: me } = serverApi.useMeQuery();
  const [signOut] = serverApi.useSignOutMutation();
  const { mode, setMode } = useColorScheme();
  const account = me?.account;
  if (!account) return null;
  return (
    <>
      <PageTitle title="Practice" lead={`Signed in as ${account.name}, ${account.email}.`}>
        <Button variant="outlined" onClick={() => void signOut()}>
          Sign out
        </Button>
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { lg: "minmax(0, 1.25fr) minmax(0, 1fr)" },
          columnGap: 8,
          rowGap: 5,
          alignItems: "start",
        }}
      >
        {account.role === "trainer" && (
          <Box sx={{ display: "grid", gap: 5 }}>
            <Staff />
            <SettingsForm />
          </Box>
        )}
        <Box sx={{ display: "grid", gap: 5, maxWidth: 560 }}>
          {account.role === "trainer" && <PracticeName name={account.practice} />}
          <Box>
            <Typography variant="h2" sx={{ mb: 1.5 }}>
              Light
            </Typography>
            <Choice<"light" | "dark">
              label="Light"
              value={mode === "dark" ? "dark" : "light"}
              onChange={setMode}
              options={[
                { value: "light", label: "Bright floor" },
                { value: "dark", label: "Dim floor" },
              ]}
            />
          </Box>
          <Password />
        </Box>
      </Box>
    </>
  );
}

function PracticeName({ name }: { name: string }) {
  const [rename, { isLoading, error }] = serverApi.useRenamePracticeMutation();
  const [typed, setTyped] = useState(name);
  const dispatch = useAppDispatch();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const done = await rename(typed);
    if (!("error" in done)) dispatch(notify({ text: "Saved.", undo: () => void rename(name) }));
  };
  const problem = error ? problemOf(error) : undefined;
  return (
    <Box component="form" onSubmit={submit} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">Name</Typography>
      <TextField
        label="Name of the practice"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        error={!!problem}
        helperText={problem && (problem.fields[0]?.message ?? problem.message)}
      />
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading || typed === name}>
          Save
        </Button>
      </Box>
    </Box>
  );
}

function Password() {
  const [change, { isLoading, error, isSuccess, reset }] = serverApi.useChangePasswordMutation();
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
      <Typography variant="h2">Your password</Typography>
      {isSuccess && (
        <Alert severity="success" variant="outlined" onClose={reset}>
          Your password is changed.
        </Alert>
      )}
      {problem && problem.fields.length === 0 && (
        <Alert severity="error" variant="outlined">
          {problem.message}
        </Alert>
      )}
      <TextField
        label="Password now"
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={(event) => setCurrent(event.target.value)}
        error={!!message("current")}
        helperText={message("current")}
      />
      <TextField
        label="New password"
        type="password"
        autoComplete="new-password"
        value={next}
        onChange={(event) => setNext(event.target.value)}
        error={!!message("next")}
        helperText={message("next") ?? "At least 10 characters"}
      />
      <Box>
        <Button type="submit" variant="outlined" disabled={isLoading}>
          Change it
        </Button>
      </Box>
    </Box>
  );
}
