import { Alert, Button } from "@mui/material";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import type { Crew } from "@kind-grip/core/crew";
import type { CrewEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { CrewFiles } from "../report/CrewFiles";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { PageTitle } from "../parts/PageTitle";
import { QuickTestRuleForm } from "../quicktest/QuickTestRuleForm";
import { Colleagues } from "./Colleagues";
import { CrewForm } from "./CrewForm";
import { useCrew } from "./CrewFrame";

export default function CrewSettingsPage() {
  const entry = useCrew();
  const [change, { isLoading, error }] = crewApi.useChangeCrewMutation();
  const [remove] = crewApi.useRemoveCrewMutation();
  const told = useTellFailure();
  const [restore] = crewApi.useRestoreCrewMutation();
  const isOwn = crewApi.useColleaguesQuery(entry.id).data?.own !== false;
  const [asking, setAsking] = useState(false);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const from = useMemo(() => versionOf(entry), [entry]);
  const problem = error ? problemOf(error) : undefined;
  const theirs = problem?.code === "stale" ? (problem.detail as CrewEntry) : undefined;

  const save = async (crew: Crew, before: { version: number; crew: Crew }) => {
    const saved = await change({ id: entry.id, version: before.version, crew });
    if (saved.data)
      dispatch(notify({ text: t("Saved."), undo: () => change({ id: entry.id, version: saved.data.version, crew: before.crew }) }));
  };
  const removeCrew = async () => {
    setAsking(false);
    if (!(await told(remove(entry.id)))) return;
    dispatch(notify({ text: t("{{name}} is removed; its records are kept.", { name: entry.name }), undo: () => restore(entry.id) }));
    await navigate("/crews");
  };
  return (
    <>
      <PageTitle title={t("Crew settings")} />
      {theirs && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 3, maxWidth: 920 }}>
          {t("Somebody else changed this crew while you were here. Your fields are kept: saving again replaces theirs.")}
        </Alert>
      )}
      <CrewForm
        from={from}
        submitLabel={t("Save")}
        busy={isLoading}
        problem={theirs ? undefined : problem}
        onSubmit={(crew, filledFrom) => void save(crew, theirs ? versionOf(theirs) : filledFrom)}
        extra={
          isOwn && (
            <Button color="error" onClick={() => setAsking(true)}>
              {t("Remove this crew")}
            </Button>
          )
        }
      />
      <QuickTestRuleForm crewId={entry.id} />
      <Colleagues crew={entry} />
      <CrewFiles crew={entry} />
      <ConfirmDialog
        open={asking}
        title={t("Remove {{name}}?", { name: entry.name })}
        confirm={t("Remove the crew")}
        onConfirm={() => void removeCrew()}
        onClose={() => setAsking(false)}
      >
        {t("It disappears from Today and from the list of crews. Its people, programs and runs are kept and come back if you undo.")}
      </ConfirmDialog>
    </>
  );
}

const versionOf = ({ id: _id, version, ...crew }: CrewEntry) => ({ version, crew });
