/** A second step of signing in: turned on with a telephone that shows six digits, with codes on paper for when it is lost. */
import { Alert, Box, Button, TextField, Typography } from "@mui/material";
import { ShieldCheck } from "lucide-react";
import { DateTime } from "luxon";
import { toString } from "qrcode";
import { useEffect, useState, type FormEvent } from "react";
import { CopyField } from "../parts/CopyField";
import { authApi } from "../auth/api";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { Loaded } from "../parts/Loaded";
import { WholeProblem } from "../parts/WholeProblem";

export function SecondFactor() {
  const query = authApi.useSecondFactorQuery();
  const [begin, begun] = authApi.useBeginSecondFactorMutation();
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [ending, setEnding] = useState(false);
  return (
    <Box component="section" aria-label={t("Second step")} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("Second step")}</Typography>
      <Loaded query={query}>
        {({ since, codesLeft }) => {
          if (codes) return <OnPaper codes={codes} onDone={() => setCodes(null)} />;
          if (since === null)
            return begun.data ? (
              <Confirm secret={begun.data.secret} address={begun.data.address} onConfirmed={setCodes} onLeave={begun.reset} />
            ) : (
              <>
                <Typography sx={{ color: "text.secondary" }}>
                  {t(
                    "Besides your password, signing in asks for six digits your telephone shows. A password somebody found is of no use then.",
                  )}
                </Typography>
                {begun.error && (
                  <Alert severity="error" variant="outlined">
                    {problemOf(begun.error).message}
                  </Alert>
                )}
                <Box>
                  <Button variant="outlined" disabled={begun.isLoading} onClick={() => void begin()}>
                    {t("Turn it on")}
                  </Button>
                </Box>
              </>
            );
          if (ending) return <End onDone={() => setEnding(false)} />;
          return (
            <>
              <Typography sx={{ display: "flex", gap: 1, alignItems: "center", fontWeight: 650 }}>
                <ShieldCheck size={22} aria-hidden />
                {t("On since {{date}}", { date: dateText(DateTime.fromISO(since), "d LLLL yyyy") })}
              </Typography>
              <Typography sx={{ color: codesLeft < 3 ? "warm.dark" : "text.secondary" }}>
                {t("{{count}} codes on paper are left.", { count: codesLeft, defaultValue_one: "{{count}} code on paper is left." })}
                {codesLeft < 3 && ` ${t("Turn it off and on again for new ones.")}`}
              </Typography>
              <Box>
                <Button onClick={() => setEnding(true)}>{t("Turn it off")}</Button>
              </Box>
            </>
          );
        }}
      </Loaded>
    </Box>
  );
}

interface ConfirmProps {
  secret: string;
  address: string;
  onConfirmed(codes: readonly string[]): void;
  onLeave(): void;
}

function Confirm({ secret, address, onConfirmed, onLeave }: ConfirmProps) {
  const [confirm, { isLoading, error }] = authApi.useConfirmSecondFactorMutation();
  const [code, setCode] = useState("");
  const [square, setSquare] = useState("");
  useEffect(() => {
    void toString(address, { type: "svg", margin: 2, color: { dark: "#1D2B2A", light: "#FFFDF8" } }).then(setSquare);
  }, [address]);
  const problem = error ? problemOf(error) : undefined;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await confirm(code);
    if (answer.data) onConfirmed(answer.data.codes);
  };
  return (
    <Box component="form" noValidate onSubmit={(event) => void submit(event)} sx={{ display: "grid", gap: 1.5 }}>
      <Typography>{t("Photograph the square with an application for one-time codes, then type what it shows.")}</Typography>
      <Box
        role="img"
        aria-label={t("Square for the application; the secret stands below as text")}
        sx={{ width: 190, borderRadius: 2, overflow: "hidden", "& svg": { display: "block" } }}
        dangerouslySetInnerHTML={{ __html: square }}
      />
      <CopyField label={t("The secret as text")} value={secret} />
      <TextField
        label={t("Six digits")}
        autoComplete="one-time-code"
        autoFocus
        value={code}
        onChange={(event) => setCode(event.target.value)}
        error={!!problem?.fields.length}
        helperText={problem?.fields[0]?.message}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
      />
      <WholeProblem problem={problem} />
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" disabled={isLoading || code.trim() === ""}>
          {t("Turn it on")}
        </Button>
        <Button onClick={onLeave}>{t("Not now")}</Button>
      </Box>
    </Box>
  );
}

function OnPaper({ codes, onDone }: { codes: readonly string[]; onDone(): void }) {
  return (
    <>
      <Alert severity="success" variant="outlined">
        {t(
          "The second step is on. Should the telephone be lost, each of these codes signs in once. They are shown only now: print them, or write them down.",
        )}
      </Alert>
      <Box
        component="ul"
        aria-label={t("Codes on paper")}
        sx={{ columns: 2, listStyle: "none", m: 0, p: 0, fontFamily: "monospace", fontSize: "1.1rem" }}
      >
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1, "@media print": { display: "none" } }}>
        <Button variant="outlined" onClick={() => print()}>
          {t("Print")}
        </Button>
        <Button variant="contained" onClick={onDone}>
          {t("I have them")}
        </Button>
      </Box>
    </>
  );
}

function End({ onDone }: { onDone(): void }) {
  const [end, { isLoading, error }] = authApi.useEndSecondFactorMutation();
  const [password, setPassword] = useState("");
  const problem = error ? problemOf(error) : undefined;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!(await end(password)).error) onDone();
  };
  return (
    <Box component="form" noValidate onSubmit={(event) => void submit(event)} sx={{ display: "grid", gap: 1.5 }}>
      <TextField
        label={t("Password, to turn the second step off")}
        type="password"
        autoComplete="current-password"
        autoFocus
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={!!problem}
        helperText={problem ? (problem.fields[0]?.message ?? problem.message) : undefined}
      />
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" disabled={isLoading || password === ""}>
          {t("Turn it off")}
        </Button>
        <Button onClick={onDone}>{t("Leave it on")}</Button>
      </Box>
    </Box>
  );
}
