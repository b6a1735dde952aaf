/** The sign-in: the only page without it. */
import { Alert, Button, Link as TextLink, Typography } from "@mui/material";
import { KeyRound } from "lucide-react";
import { useState } from "react";
import { Link, Navigate, useSearchParams } from "react-router";
import { t } from "../base/words";
import { problemOf, serverApi } from "../base/api";
import { useTabTitle } from "../parts/PageTitle";
import { PlainField } from "../parts/PlainField";
import { authApi } from "./api";
import { knowsPasskeys, askPasskey } from "./passkey";
import { SignInFrame } from "./SignInFrame";

export default function SignInPage() {
  const { data: me } = serverApi.useMeQuery();
  const [signIn, { isLoading, error: passwordError }] = authApi.useSignInMutation();
  const [ask, asked] = authApi.useAskForPasskeySignInMutation();
  const [signInWithPasskey, answered] = authApi.useSignInWithPasskeyMutation();
  const [said, setSaid] = useState<string | null>(null);
  const [search] = useSearchParams();
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [asksCode, setAsksCode] = useState(false);
  useTabTitle(t("Sign in"));

  if (me?.account) return <Navigate to={innerAddress(search.get("next"))} replace />;
  const error = passwordError ?? asked.error ?? answered.error;
  const problem = error ? problemOf(error) : undefined;
  const fieldProblem = (path: string) => problem?.fields.find((field) => field.path === path)?.message;
  const withPasskey = async () => {
    setSaid(null);
    const question = await ask();
    const answer = question.data && (await askPasskey(question.data));
    if (answer && "problem" in answer) setSaid(answer.problem as string);
    else if (answer) await signInWithPasskey(answer);
  };
  const submit = () => {
    void signIn({ email, password, ...(asksCode ? { code } : {}) }).then((answer) => {
      if (answer.error && problemOf(answer.error).code === "secondFactor") setAsksCode(true);
    });
  };

  return (
    <SignInFrame onSubmit={submit}>
      <Typography variant="h1">{t("Kind Grip")}</Typography>
      {problem && !problem.fields.length && (
        <Alert severity={problem.code === "secondFactor" ? "info" : "error"} variant="outlined">
          {problem.message}
        </Alert>
      )}
      <PlainField
        label={t("E-mail")}
        type="email"
        autoComplete="username"
        autoFocus
        required
        value={email}
        onChange={setEmail}
        problem={fieldProblem("email")}
      />
      <PlainField
        label={t("Password")}
        type="password"
        autoComplete="current-password"
        required
        value={password}
        onChange={setPassword}
        problem={fieldProblem("password")}
      />
      {asksCode && (
        <PlainField label={t("Code of the second step")} autoComplete="one-time-code" autoFocus required value={code} onChange={setCode} />
      )}
      <Button type="submit" variant="contained" size="large" disabled={isLoading || (asksCode && code.trim() === "")}>
        {isLoading ? t("Signing in …") : t("Sign in")}
      </Button>
      {knowsPasskeys() && (
        <Button
          variant="outlined"
          size="large"
          startIcon={<KeyRound size={20} />}
          disabled={asked.isLoading || answered.isLoading}
          onClick={() => void withPasskey()}
        >
          {t("Sign in with a passkey")}
        </Button>
      )}
      {said !== null && (
        <Alert severity="warning" variant="outlined">
          {said}
        </Alert>
      )}
      <TextLink component={Link} to="/forgotten" state={{ email }}>
        {t("Forgotten your password?")}
      </TextLink>
      <Typography>
        {t("In a crew?")}{" "}
        <TextLink component={Link} to="/me">
          {t("Open my day")}
        </TextLink>
      </Typography>
    </SignInFrame>
  );
}

/** Only addresses of this application are followed. */
function innerAddress(next: string | null): string {
  return next?.startsWith("/") && !next.startsWith("//") ? next : "/today";
}
