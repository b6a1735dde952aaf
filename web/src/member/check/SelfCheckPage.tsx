/** Before a round: the safety questions one by one, where something is felt, the main hand; looked over once and sent, also later. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { QUESTION_IDS } from "@kind-grip/core/safety";
import { useWords } from "../../base/library";
import { Loading } from "../../parts/Loading";
import { askedCheck } from "../asked";
import { PhoneTitle, useDay } from "../PhoneFrame";
import { forget, putAway } from "../phone-store";
import { Told } from "../Told";
import { practiceTime } from "../use-phone";
import { checkFrom, HAND_STEP, PLACES_STEP, SUMMARY_STEP, type CheckDraft } from "./check-draft";
import { FeltPlaces } from "./FeltPlaces";
import { MainHand } from "./MainHand";
import { SafetyQuestion } from "./SafetyQuestion";
import { StepTitle } from "./StepTitle";
import { useCheckDraft } from "./use-check-draft";

export default function SelfCheckPage() {
  const phone = useDay();
  const [sentId, setSentId] = useState<string>();
  const round = askedCheck(phone.day, phone.answered);
  const waits = phone.waiting.find(({ kind }) => kind === "self-checks")?.body.id;
  const [wasAsked] = useState(round !== null);
  const toldId = sentId ?? waits;
  if (toldId && (sentId || !round)) return <Told key={toldId} causeId={toldId} />;
  if (!round) return <Over trainer={phone.day.trainer} unsent={wasAsked} />;
  return <Check key={round.id} roundId={round.id} trainer={phone.day.trainer} now={() => practiceTime(phone)} onSent={setSentId} />;
}

/** Nothing is asked here: it was sent before, the round has ended, or the trainer has asked in person. */
function Over({ trainer, unsent }: { trainer: string; unsent: boolean }) {
  const words = useWords();
  return (
    <>
      <PhoneTitle title={words.member("checkOver")} lead={unsent ? words.member("checkOverUnsent", { trainer }) : undefined} />
      <Button component={Link} to="/me" variant="outlined" fullWidth sx={{ minHeight: 56 }}>
        {words.member("back")}
      </Button>
    </>
  );
}

interface CheckProps {
  roundId: string;
  trainer: string;
  now(): number;
  onSent(checkId: string): void;
}

function Check({ roundId, trainer, now, onSent }: CheckProps) {
  const words = useWords();
  const navigate = useNavigate();
  const [draft, change] = useCheckDraft(roundId);
  if (!draft) return <Loading />;
  const { step } = draft;
  const goTo = (next: number) => {
    change({ step: next });
    scrollTo(0, 0);
  };
  const question = QUESTION_IDS[step];
  const send = async () => {
    await putAway({ kind: "self-checks", body: checkFrom(draft, new Date(now()).toISOString()) });
    // What it holds out of, and whom to turn to, is the first thing there.
    onSent(draft.id);
    await forget("selfCheck");
  };
  return (
    <>
      <PhoneTitle title={words.member("checkTitle")} lead={step === 0 ? words.member("checkWho", { trainer }) : undefined} />
      <Progress step={step} />
      {question && (
        <SafetyQuestion
          key={question}
          id={question}
          value={draft.safety[question]}
          onAnswer={(yes) => {
            const safety = { ...draft.safety, [question]: yes };
            change({ safety, step: step + 1 });
          }}
        />
      )}
      {step === PLACES_STEP && (
        <FeltPlaces symptoms={draft.symptoms} onChange={(symptoms) => change({ symptoms })} onDone={() => goTo(HAND_STEP)} />
      )}
      {step === HAND_STEP && <MainHand value={draft.handedness} onAnswer={(handedness) => change({ handedness, step: SUMMARY_STEP })} />}
      {step >= SUMMARY_STEP && <Summary draft={draft} trainer={trainer} onSend={() => void send()} onChange={goTo} />}
      <Button fullWidth onClick={() => (step === 0 ? void navigate("/me") : goTo(step - 1))} sx={{ mt: 2, minHeight: 48 }}>
        {words.member("back")}
      </Button>
    </>
  );
}

function Progress({ step }: { step: number }) {
  const words = useWords();
  const count = SUMMARY_STEP + 1;
  const text = words.member("checkStep", {
    number: words.digits(String(Math.min(step, SUMMARY_STEP) + 1)),
    count: words.digits(String(count)),
  });
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: 2.5 }}>
      <Box
        role="progressbar"
        aria-label={words.member("checkTitle")}
        aria-valuemin={0}
        aria-valuemax={count}
        aria-valuenow={step + 1}
        sx={{ flex: 1, height: 10, borderRadius: 1, bgcolor: "line", overflow: "hidden" }}
      >
        <Box className="keeps-colour" sx={{ width: `${((step + 1) / count) * 100}%`, height: "100%", bgcolor: "primary.main" }} />
      </Box>
      <Typography sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>{text}</Typography>
    </Box>
  );
}

interface SummaryProps {
  draft: CheckDraft;
  trainer: string;
  onSend(): void;
  onChange(step: number): void;
}

/** What was said, each a way back to its question. */
function Summary({ draft, trainer, onSend, onChange }: SummaryProps) {
  const words = useWords();
  const yes = QUESTION_IDS.filter((id) => draft.safety[id] === true);
  const row = (key: string, text: string, step: number) => (
    <Box component="li" key={key} sx={{ borderTop: "1px solid", borderColor: "line" }}>
      <Button
        onClick={() => onChange(step)}
        aria-label={`${text}. ${words.member("checkChange")}`}
        sx={{ width: "100%", minHeight: 52, justifyContent: "flex-start", textAlign: "start", color: "text.primary" }}
      >
        {text}
      </Button>
    </Box>
  );
  const { handedness } = draft;
  const hand =
    handedness == null
      ? words.member("checkCannotSay")
      : handedness === "both"
        ? words.member("checkBothHands")
        : words.label("side", handedness);
  return (
    <>
      <StepTitle>{words.member("checkReady")}</StepTitle>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, mb: 2.5 }}>
        {yes.length === 0
          ? row("none", words.member("checkNoYes"), 0)
          : yes.map((id) => row(id, `${words.member("checkYes")}: ${words.safety(id).short}`, QUESTION_IDS.indexOf(id)))}
        {draft.symptoms.length === 0
          ? row("nowhere", words.member("checkNothing"), PLACES_STEP)
          : draft.symptoms.map(({ id, side, region, kind, level }) =>
              row(
                id,
                `${words.label("side", side)}: ${words.label("place", region)}, ${words.symptomKind(kind)}, ${words.digits(String(level))}`,
                PLACES_STEP,
              ),
            )}
        {row("hand", `${words.member("checkHand")} ${hand}`, HAND_STEP)}
      </Box>
      <Button variant="contained" fullWidth onClick={onSend} sx={{ minHeight: 60, fontSize: "1.2rem" }}>
        {words.member("checkSend", { trainer })}
      </Button>
    </>
  );
}
