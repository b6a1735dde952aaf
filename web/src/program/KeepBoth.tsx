/** The third way out of a conflict: theirs stays the program, mine becomes another. */
import { Button } from "@mui/material";
import type { Program } from "@kind-grip/core/program";
import { t } from "../base/words";
import { programApi } from "./api";
import { v7 as uuid } from "uuid";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { useProgramEditor } from "./program-editor";

export function KeepBoth() {
  const { crewId, edited } = useProgramEditor();
  const [create, { isLoading }] = programApi.useCreateProgramMutation();
  const told = useTellFailure();
  const dispatch = useAppDispatch();
  const keepBoth = async () => {
    const { value } = edited;
    const asked = create({
      crewId,
      id: uuid(),
      program: withNewIds({ ...value, name: t("{{name}} (my version)", { name: value.name }).slice(0, 120) }),
    });
    if (!(await told(asked))) return;
    edited.takeTheirs();
    dispatch(notify({ text: t("Yours is kept as “{{name}}”.", { name: (await asked.unwrap()).program.name }) }));
  };
  return (
    <Button variant="outlined" disabled={isLoading} onClick={() => void keepBoth()}>
      {t("Keep both")}
    </Button>
  );
}

function withNewIds(program: Program): Program {
  return {
    ...program,
    sessions: program.sessions.map((session) => ({
      ...session,
      id: uuid(),
      items: session.items.map((item) => ({ ...item, id: uuid() })),
    })),
  };
}
