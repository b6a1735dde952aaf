/** Signing in on a phone: crew code and PIN, or the card's own address, which carries its secret behind the #. */
import { liveQuery } from "dexie";
import { Alert, Box, Button, Typography } from "@mui/material";
import { useEffect, useRef, useState, type FormEvent } from "react";
import { useLocation, useNavigate } from "react-router";
import type { Language } from "@kind-grip/core/language";
import { METRIC } from "@kind-grip/core/units";
import { WithLanguage } from "../base/language";
import { useWords } from "../base/library";
import { LanguageChoice } from "../parts/LanguageChoice";
import { keepLanguage, phoneLanguage } from "./phone-language";
import { problemOf, serverApi } from "../base/api";
import { Loading } from "../parts/Loading";
import { PlainField } from "../parts/PlainField";
import { keepPage } from "./keep-page";
import { phone, signedInAs, type Waiting } from "./phone-store";
import { saveFile } from "../parts/save-file";
import { memberApi } from "./api";

/** In the language this phone spoke last, or the one its browser asks for, until another is chosen. */
export default function PhoneSignIn() {
  const [language, setLanguage] = useState(phoneLanguage);
  // Kept here: a page that is turned round begins anew.
  const [form, setForm] = useState<SignInForm>({ code: "", pin: "", chosen: null });
  const change = (part: Partial<SignInForm>) => {
    setForm((before) => ({ ...before, ...part }));
    if (!part.chosen) return;
    keepLanguage(part.chosen);
    setLanguage(part.chosen);
  };
  return (
    <WithLanguage whole language={language} measures={METRIC}>
      <SignIn form={form} onChange={change} />
    </WithLanguage>
  );
}

interface SignInForm {
  code: string;
  pin: string;
  /** Pressed on this page. */
  chosen: Language | null;
}

function SignIn({ form: { code, pin, chosen }, onChange }: { form: SignInForm; onChange(part: Partial<SignInForm>): void }) {
  const words = useWords();
  const [speak] = memberApi.useMemberLanguageMutation();
  const { hash } = useLocation();
  const navigate = useNavigate();
  const { data: me } = serverApi.useMeQuery();
  const [signIn, pinState] = memberApi.useMemberSignInMutation();
  const [openCard, cardState] = memberApi.useMemberCardMutation();
  const token = new URLSearchParams(hash.slice(1)).get("card");
  const tried = useRef(false);
  useEffect(keepPage, []);
  useEffect(() => {
    document.title = `${words.member("signIn")} – Kind Grip`;
  }, [words]);
  // The token that every change carries comes with the first answer of the server.
  useEffect(() => {
    if (!token || !me || tried.current) return;
    tried.current = true;
    void openCard({ token }).then(async ({ data }) => {
      if (!data) return;
      await signedInAs(data);
      await navigate("/me", { replace: true });
    });
  }, [token, me, openCard, navigate]);
  // What waits here is nobody's to read, but that it waits is said.
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    const subscription = liveQuery(() => phone.outbox.toArray()).subscribe({ next: setWaiting });
    return () => subscription.unsubscribe();
  }, []);
  const error = pinState.error ?? cardState.error;
  const problem = error ? problemOf(error) : undefined;
  const field = (path: string) => (problem?.fields.some((each) => each.path === path) ? words.member("fillIn") : undefined);
  if (token && !problem) return <Loading />;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const { data } = await signIn({ code, pin });
    if (!data) return;
    // Whoever chose a language here wants to go on in it.
    const spoken = chosen !== null && chosen !== data.language ? (await speak(chosen)).data : undefined;
    await signedInAs(spoken ?? data);
    await navigate("/me", { replace: true });
  };
  return (
    <Box component="main" sx={{ minHeight: "100dvh", maxWidth: 480, mx: "auto", display: "flex", flexDirection: "column" }}>
      <Box sx={{ bgcolor: "#17594F", color: "#F6F2E9", px: 3, pt: 5, pb: 4 }}>
        <Box component="img" src="/mark.svg" alt="" sx={{ width: 44, mb: 2 }} />
        <Typography variant="h1" sx={{ fontSize: "2.2rem" }}>
          {words.member("signInTitle")}
        </Typography>
      </Box>
      <Box component="form" noValidate onSubmit={(event) => void submit(event)} sx={{ display: "grid", gap: 2, p: 3 }}>
        {problem && problem.fields.length === 0 && (
          <Alert severity="error" variant="outlined">
            {words.member(problemText(problem.code, token !== null))}
          </Alert>
        )}
        {waiting.length > 0 && (
          <Box role="status" sx={{ borderLeft: "6px solid", borderColor: "warm.main", bgcolor: "background.paper", px: 2, py: 1.25 }}>
            <Typography>{words.member("waitsHere", { count: waiting.length })}</Typography>
            <Button onClick={() => saveFile("not-sent.json", waiting)} sx={{ ml: -1 }}>
              {words.member("saveFile")}
            </Button>
          </Box>
        )}
        <PlainField
          label={words.member("code")}
          value={code}
          onChange={(typed) => onChange({ code: typed })}
          problem={field("code")}
          autoComplete="username"
          inputProps={{ autoCapitalize: "characters", style: LARGE }}
        />
        <PlainField
          label={words.member("pin")}
          value={pin}
          onChange={(typed) => onChange({ pin: typed })}
          problem={field("pin")}
          autoComplete="current-password"
          inputProps={{ inputMode: "numeric", style: LARGE }}
        />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={pinState.isLoading || !me}
          sx={{ minHeight: 56, fontSize: "1.15rem" }}
        >
          {words.member("signIn")}
        </Button>
        <Typography sx={{ color: "text.secondary" }}>{words.member("signInHelp")}</Typography>
        <LanguageChoice value={words.language} onChange={(language) => onChange({ chosen: language })} />
        <Typography variant="caption" sx={{ color: "text.secondary" }}>
          {words.paper("prevention")}
        </Typography>
      </Box>
    </Box>
  );
}

/** Copied from a card, letter by letter. */
const LARGE = { fontSize: "1.4rem", letterSpacing: "0.1em" };

const PROBLEMS = { wrongSignIn: "wrongSignIn", tooManyAttempts: "tooManyAttempts", away: "away" } as const;

/** What the server said, in the language of the page. */
function problemText(code: string, card: boolean): "wrongSignIn" | "wrongCard" | "tooManyAttempts" | "away" | "failed" {
  const known = PROBLEMS[code as keyof typeof PROBLEMS];
  return known === "wrongSignIn" && card ? "wrongCard" : (known ?? "failed");
}
