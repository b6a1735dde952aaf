/** A way back for who forgot a password: sent by e-mail where the server can, else made by whoever runs it. */
import { Button, Link as TextLink, Typography } from "@mui/material";
import { useState } from "react";
import { Link, useLocation } from "react-router";
import { problemOf, serverApi } from "../base/api";
import { t } from "../base/words";
import { Loading } from "../parts/Loading";
import { useTabTitle } from "../parts/PageTitle";
import { authApi } from "./api";
import { SignInFrame } from "./SignInFrame";
import { PlainField } from "../parts/PlainField";
import { WholeProblem } from "../parts/WholeProblem";

export default function ForgottenPage() {
  const { state } = useLocation() as { state: { email?: string } | null };
  const { data: me } = serverApi.useMeQuery();
  const { data: way } = authApi.useWayBackQuery();
  const [ask, { isLoading, isSuccess, error }] = authApi.useForgottenMutation();
  const [email, setEmail] = useState(state?.email ?? "");
  useTabTitle(t("Forgotten password"));
  if (!me || !way) return <Loading />;
  const problem = error ? problemOf(error) : undefined;
  const field = problem?.fields[0]?.message;
  const back = (
    <TextLink component={Link} to="/sign-in">
      {t("To the sign-in")}
    </TextLink>
  );
  if (!way.byMail)
    return (
      <SignInFrame>
        <Typography variant="h1">{t("Forgotten your password?")}</Typography>
        <Typography>
          {t("This server sends no e-mail. Whoever runs it can make you an address at which you choose a new one:")}{" "}
          <code>{`bin/admin password ${email || t("your e-mail address")}`}</code>
        </Typography>
        {back}
      </SignInFrame>
    );
  if (isSuccess)
    return (
      <SignInFrame>
        <Typography variant="h1">{t("Look into your inbox")}</Typography>
        <Typography role="status">
          {t("If {{email}} has a sign-in here, an address is on its way at which you choose a new password, once, within a day.", {
            email,
          })}
        </Typography>
        {back}
      </SignInFrame>
    );
  return (
    <SignInFrame onSubmit={() => void ask(email)}>
      <Typography variant="h1">{t("Forgotten your password?")}</Typography>
      <Typography>{t("An address is sent to you at which you choose a new one.")}</Typography>
      <WholeProblem problem={problem} />
      <PlainField label={t("E-mail")} type="email" autoComplete="username" autoFocus value={email} onChange={setEmail} problem={field} />
      <Button type="submit" variant="contained" size="large" disabled={isLoading}>
        {t("Send it")}
      </Button>
      {back}
    </SignInFrame>
  );
}
