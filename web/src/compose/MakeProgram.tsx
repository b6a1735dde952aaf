/** The one press that makes a proposal a program, and why it cannot be made one yet. */
import { Button, Typography } from "@mui/material";
import { useNavigate } from "react-router";
import type { CrewEntry } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import type { Proposal } from "@kind-grip/core/compose";
import { withStarts, type PersonalStart } from "@kind-grip/core/program";
import type { Session } from "@kind-grip/core/session";
import { problemOf } from "../base/api";
import { useWords } from "../base/library";
import { useNow } from "../base/now";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { programApi } from "../program/api";
import { missedText } from "./missed-text";
import type { ProposalState } from "./use-proposal";

interface MakeProgramProps {
  crew: CrewEntry;
  state: ProposalState;
  shown: Proposal | undefined;
  /** Own forms and doses that are set with it. */
  starts: readonly PersonalStart[];
  /** What goes with it beside the shift. */
  beside: readonly Session[];
}

export function MakeProgram({ crew, state: { stage }, shown, starts, beside }: MakeProgramProps) {
  const words = useWords();
  const [create, { isLoading, error }] = programApi.useCreateProgramMutation();
  const navigate = useNavigate();
  const sameId = useSameId();
  const missed = shown?.missed ?? [];
  // A composed program settles in from the coming Monday; Weeks ahead changes that.
  const nextMonday = addDays(mondayOf(dateAt(useNow(), crew.timeZone)), 7);
  const make = async () => {
    const { program } = shown!;
    const sessions = [...program.sessions, ...beside].map((session) => withStarts(session, starts));
    const made = { ...program, sessions, settlingFrom: nextMonday };
    const answer = await create({ crewId: crew.id, id: sameId(made), program: made });
    if (answer.data) void navigate(`/crews/${crew.id}/program/${answer.data.id}`);
  };
  return (
    <>
      {error !== undefined && <Typography sx={{ color: "error.main" }}>{problemOf(error).message}</Typography>}
      {missed.length > 0 && stage === "best" && <Typography>{missedText(words, missed[0]!)}</Typography>}
      <Button
        variant="contained"
        disabled={!shown || (stage !== "first" && stage !== "best") || missed.length > 0 || isLoading}
        onClick={() => void make()}
      >
        {t("Make it a program")}
      </Button>
    </>
  );
}
