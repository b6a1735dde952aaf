/** Programs that call in one's name: each token, what it is for, until when, what it was used for. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, BookOpen } from "lucide-react";
import { DateTime } from "luxon";
import { useRef, useState } from "react";
import { Link } from "react-router";
import type { ApiTokenEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { MakeTokenDialog } from "./MakeTokenDialog";
import { scopeTexts } from "./scope-words";
import { TokenUses } from "./TokenUses";
import { tokenApi } from "./api";

const day = (iso: string) => dateText(DateTime.fromISO(iso), "d LLL yyyy");
/** One that runs out within so many days says so. */
const SOON_DAYS = 14;

export default function TokensPage() {
  const query = tokenApi.useApiTokensQuery();
  const [making, setMaking] = useState(false);
  // The first token takes the place of what said that there is none, and the button is another one then.
  const makeButton = useRef<HTMLButtonElement>(null);
  const closed = () => {
    setMaking(false);
    setTimeout(() => makeButton.current?.focus());
  };
  const make = (
    <Button ref={makeButton} variant="contained" onClick={() => setMaking(true)}>
      {t("Make a token")}
    </Button>
  );
  return (
    <>
      <PageTitle
        title={t("Programs in your name")}
        lead={t(
          "Another program can read and change here what you can: with a token, only what the token is for, and only while it is good. What holds somebody out, clears them or decides for them stays with you.",
        )}
      >
        <Button component={Link} to="/practice" startIcon={<ArrowLeft size={20} />}>
          {t("Practice")}
        </Button>
        <Button component={Link} to="/practice/api" startIcon={<BookOpen size={20} />}>
          {t("What can be called")}
        </Button>
      </PageTitle>
      <Loaded query={query}>
        {(tokens) =>
          tokens.length === 0 ? (
            <Empty
              title={t("No program calls in your name")}
              text={t(
                "A pay-roll that knows who is away, a wall display with the day plan, a sheet that draws your reports: each gets its own.",
              )}
            >
              {make}
            </Empty>
          ) : (
            <>
              {make}
              <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 3, p: 0, maxWidth: 980 }}>
                {tokens.map((token) => (
                  <Token key={token.id} token={token} />
                ))}
              </Box>
            </>
          )
        }
      </Loaded>
      {making && <MakeTokenDialog onClose={closed} />}
    </>
  );
}

/** Whether it is good, in words: until when, how long still, since when not any more. */
function standing({ until, withdrawnAt }: ApiTokenEntry): { text: string; isGood: boolean; isSoon: boolean } {
  const now = DateTime.now();
  const end = DateTime.fromISO(until);
  if (withdrawnAt) return { text: t("withdrawn {{date}}", { date: day(withdrawnAt) }), isGood: false, isSoon: false };
  if (end <= now) return { text: t("ran out {{date}}", { date: day(until) }), isGood: false, isSoon: false };
  const days = Math.floor(end.diff(now, "days").days);
  if (days < SOON_DAYS)
    return {
      text: t("runs out in {{count}} days", { count: days, defaultValue_one: "runs out in {{count}} day" }),
      isGood: true,
      isSoon: true,
    };
  return { text: t("good until {{date}}", { date: day(until) }), isGood: true, isSoon: false };
}

function Token({ token }: { token: ApiTokenEntry }) {
  const { id, name, begins, scopes, madeAt, usedAt } = token;
  const [withdraw, { isLoading }] = tokenApi.useWithdrawApiTokenMutation();
  const [asking, setAsking] = useState(false);
  const [showsUses, setShowsUses] = useState(false);
  const dispatch = useAppDispatch();
  const title = useRef<HTMLHeadingElement>(null);
  const { text, isGood, isSoon } = standing(token);
  const withdrawIt = async () => {
    setAsking(false);
    const { error } = await withdraw(id);
    // What was pressed is gone with it.
    if (!error) title.current?.focus();
    dispatch(notify({ text: error ? problemOf(error).message : t("{{name}} calls no more.", { name }) }));
  };
  return (
    <Box component="li" sx={{ borderTop: "2px solid", borderColor: "line", py: 2 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "baseline" }}>
        <Typography
          ref={title}
          tabIndex={-1}
          variant="h2"
          sx={{ overflowWrap: "anywhere", color: isGood ? "text.primary" : "text.secondary" }}
        >
          {name}
        </Typography>
        <Typography component="code" sx={{ fontFamily: "monospace", color: "text.secondary" }}>
          {begins}…
        </Typography>
        <Typography sx={{ fontWeight: 650, ...(isSoon && { color: "warm.dark" }) }}>{text}</Typography>
      </Box>
      <Typography sx={{ mt: 0.5 }}>{scopeTexts(scopes).join(" · ")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {usedAt === null
          ? t("made {{date}}, not used yet", { date: day(madeAt) })
          : t("made {{date}}, last used {{used}}", { date: day(madeAt), used: dateText(DateTime.fromISO(usedAt), "d LLL yyyy HH:mm") })}
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1, "@media print": { display: "none" } }}>
        <Button aria-expanded={showsUses} onClick={() => setShowsUses(!showsUses)} aria-label={t("What {{name}} did", { name })}>
          {t("What it did")}
        </Button>
        {isGood && (
          <Button disabled={isLoading} onClick={() => setAsking(true)} aria-label={t("Withdraw {{name}}", { name })}>
            {t("Withdraw")}
          </Button>
        )}
      </Box>
      {showsUses && <TokenUses tokenId={id} name={name} />}
      <ConfirmDialog
        open={asking}
        title={t("Withdraw {{name}}?", { name })}
        confirm={t("Withdraw it")}
        onConfirm={() => void withdrawIt()}
        onClose={() => setAsking(false)}
      >
        <Typography>
          {t("The program that has it is refused from its next call on. It cannot be given back; a new one can be made.")}
        </Typography>
      </ConfirmDialog>
    </Box>
  );
}
