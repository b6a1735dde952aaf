/** A one-time address: the first day of a practice, an invitation, a new password. Its secret is behind the #. */
import { Alert, Button, Link as TextLink, TextField, Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import type { OneTimeLink, UsedLink } from "@kind-grip/core/api";
import { problemOf, serverApi } from "../base/api";
import { Loading } from "../parts/Loading";
import { useTabTitle } from "../parts/PageTitle";
import { t } from "../base/words";
import { authApi } from "./api";
import { FirstDayForm } from "./FirstDayForm";
import { fieldIn, type LinkFormProps } from "./link-form";
import { NewPasswordField } from "./NewPasswordField";
import { WholeProblem } from "../parts/WholeProblem";
import { SignInFrame } from "./SignInFrame";

export default function LinkPage() {
  const token = useLocation().hash.slice(1);
  // The token that every change carries comes with the first answer of the server.
  const { data: me } = serverApi.useMeQuery();
  const [look, { data: link, error }] = authApi.useLookAtLinkMutation();
  useTabTitle(t("Welcome"));
  const ready = me !== undefined;
  useEffect(() => {
    if (ready) void look(token);
  }, [look, ready, token]);
  if (error)
    return (
      <SignInFrame>
        <Typography variant="h1">{t("This address is not good any more")}</Typography>
        <Typography>{problemOf(error).message}</Typography>
        <TextLink component={Link} to="/sign-in">
          {t("To the sign-in")}
        </TextLink>
      </SignInFrame>
    );
  if (!link) return <Loading />;
  return <LinkForm link={link} token={token} />;
}

function LinkForm({ link, token }: { link: OneTimeLink; token: string }) {
  const [apply, { isLoading, error }] = authApi.useUseLinkMutation();
  const navigate = useNavigate();
  const problem = error ? problemOf(error) : undefined;
  const send = async (used: UsedLink) => {
    const { data } = await apply(used);
    if (!data) return;
    // Where a second step is asked for, the new password is only the first one.
    await navigate(data.account ? "/today" : "/sign-in", { replace: true });
  };
  const common = { token, busy: isLoading, problem };
  if (link.kind === "first") return <FirstDayForm {...common} onSend={send} />;
  return link.kind === "invitation" ? (
    <InvitationForm link={link} {...common} onSend={send} />
  ) : (
    <PasswordForm link={link} {...common} onSend={send} />
  );
}

const WORK = { trainer: t("as a trainer"), lead: t("as a crew lead"), employer: t("as an employer contact") } as const;

function InvitationForm({ link, token, busy, problem, onSend }: LinkFormProps & { link: OneTimeLink }) {
  const [name, setName] = useState(link.name);
  const [password, setPassword] = useState("");
  const field = fieldIn(problem);
  return (
    <SignInFrame onSubmit={() => void onSend({ kind: "invitation", token, name, password })}>
      <Typography variant="h1">{t("Welcome to {{practice}}", { practice: link.practice })}</Typography>
      <Typography>
        {t("{{by}} invites you to work here {{as}}. You sign in as {{email}}.", {
          by: link.by || t("Whoever runs this server"),
          as: WORK[link.role],
          email: link.email,
        })}
      </Typography>
      <WholeProblem problem={problem} />
      {field("email") && (
        <Alert severity="error" variant="outlined">
          {t("{{email}} has a sign-in already. Ask for an invitation of another address.", { email: link.email })}
        </Alert>
      )}
      <TextField
        label={t("Your name")}
        autoComplete="name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={!!field("name")}
        helperText={field("name")}
      />
      <NewPasswordField label={t("A password")} value={password} onChange={setPassword} problem={field("password")} />
      <Button type="submit" variant="contained" size="large" disabled={busy}>
        {t("Accept and sign in")}
      </Button>
    </SignInFrame>
  );
}

function PasswordForm({ link, token, busy, problem, onSend }: LinkFormProps & { link: OneTimeLink }) {
  const [password, setPassword] = useState("");
  return (
    <SignInFrame onSubmit={() => void onSend({ kind: "password", token, password })}>
      <Typography variant="h1">{t("A new password")}</Typography>
      <Typography>
        {t("For {{name}}, {{email}}. Wherever you are signed in now, you are signed out.", { name: link.name, email: link.email })}
      </Typography>
      <WholeProblem problem={problem} />
      <NewPasswordField label={t("New password")} value={password} onChange={setPassword} problem={fieldIn(problem)("password")} />
      <Button type="submit" variant="contained" size="large" disabled={busy}>
        {t("Set it")}
      </Button>
    </SignInFrame>
  );
}
