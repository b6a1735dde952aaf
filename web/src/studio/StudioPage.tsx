/** The studio: a movement of the practice's own, from a shape and angles; seen live, told in words, used like any other. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { ArrowLeft, Download, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { CUSTOM_PREFIX, customMovementProblems, type CustomMovement, type CustomProblem } from "@kind-grip/core/library";
import type { CustomMovementEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { libraryApi } from "../library/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { SaveState } from "../document/SaveState";
import { LostPage } from "../parts/LostPage";
import { PageTitle } from "../parts/PageTitle";
import { PoseTabs } from "./PoseTabs";
import { ShapePanel } from "./ShapePanel";
import { StudioDetails } from "./StudioDetails";
import { StudioPicture } from "./StudioPicture";
import { useMovementDraft } from "./use-movement-draft";

export default function StudioPage() {
  const { customId } = useParams();
  const { data: entries } = libraryApi.useMovementsQuery();
  const entry = entries?.find(({ id }) => id === customId);
  if (customId && !entry) return <LostPage />;
  return <Studio key={customId ?? "new"} entry={entry} />;
}

function Studio({ entry }: { entry: CustomMovementEntry | undefined }) {
  const givenId = entry?.id;
  const edited = useMovementDraft(entry);
  const { value: custom, problems: refused } = edited;
  const [chosenAt, setChosenAt] = useState(Infinity);
  const at = Math.min(chosenAt, custom.figure.poses.length - 1);
  const [tried, setTried] = useState(false);
  const [saving, setSaving] = useState(false);
  const [remove] = libraryApi.useRemoveMovementMutation();
  const told = useTellFailure();
  const [restore] = libraryApi.useRestoreMovementMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const found = useMemo(() => problemsOf(custom), [custom]);
  const theirs = refused.map(({ path, message }) => ({ path: path.replace(/^custom\./, ""), message }));
  const shown = tried ? [...found, ...theirs] : found.filter(({ path }) => path.startsWith("figure."));

  const change = (what: string, next: CustomMovement) => edited.change(next, what || undefined);
  const choose = (index: number) => {
    setChosenAt(index);
    edited.endGesture();
  };
  const save = async () => {
    setTried(true);
    if (found.length > 0) return;
    setSaving(true);
    const done = await edited.saveNow();
    setSaving(false);
    if (!done) return;
    dispatch(notify({ text: t("{{name}} is in the library.", { name: custom.words.name }) }));
    void navigate(`/library/${custom.movement.id}`);
  };

  return (
    <>
      <Button
        component={Link}
        to={givenId ? `/library/${CUSTOM_PREFIX}${givenId}` : "/library"}
        startIcon={<ArrowLeft size={18} />}
        sx={{ ml: -1.5, mb: 0.5 }}
      >
        {givenId ? custom.words.name : t("Library")}
      </Button>
      <PageTitle title={t("Studio")} lead={t("A movement of your own: shape it, say it, dose it.")}>
        <SaveState edited={edited} what={t("this movement")} summary={(version) => <Typography>{version.words.name}</Typography>} />
        {givenId && (
          <>
            <IconButton aria-label={t("Download as a file")} component="a" href={`/api/movements/${givenId}/file`} download>
              <Download size={22} />
            </IconButton>
            <IconButton
              aria-label={t("Take out of the library")}
              onClick={async () => {
                if (!(await told(remove(givenId)))) return;
                dispatch(
                  notify({
                    text: t("{{name}} was taken out of the library.", { name: custom.words.name }),
                    undo: () => restore(givenId),
                  }),
                );
                void navigate("/library");
              }}
            >
              <Trash2 size={22} />
            </IconButton>
          </>
        )}
        <Button variant="contained" onClick={() => void save()} disabled={saving}>
          {givenId ? t("Save") : t("Save to the library")}
        </Button>
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.25fr) minmax(320px, 1fr)" },
          columnGap: 4,
          rowGap: 4,
        }}
      >
        <Box sx={{ display: "grid", gap: 2, alignContent: "start", position: { md: "sticky" }, top: 16, alignSelf: "start" }}>
          <StudioPicture custom={custom} at={at} />
          <PoseTabs custom={custom} at={at} onChoose={choose} onChange={change} />
          <Problems problems={shown} />
        </Box>
        <ShapePanel custom={custom} at={at} onChange={change} />
      </Box>
      <StudioDetails
        custom={custom}
        storedForms={entry?.custom.movement.forms.map((form) => form.id) ?? []}
        problems={shown}
        onChange={change}
      />
    </>
  );
}

/** What stands in the way of saving, in words; empty texts are named before the server has to. */
function problemsOf(custom: CustomMovement): CustomProblem[] {
  const problems: CustomProblem[] = [];
  if (custom.words.name.trim() === "") problems.push({ path: "words.name", message: t("is missing") });
  if (custom.words.steps.every((step) => step.trim() === "")) problems.push({ path: "words.steps", message: t("say at least one step") });
  if (custom.words.feel.trim() === "") problems.push({ path: "words.feel", message: t("is missing") });
  return [...problems, ...customMovementProblems(custom)];
}

function Problems({ problems }: { problems: readonly CustomProblem[] }) {
  if (problems.length === 0) return null;
  return (
    <Box role="alert" sx={{ borderLeft: "4px solid", borderColor: "error.main", pl: 2 }}>
      <Typography sx={{ fontWeight: 700 }}>{t("Before this can be saved")}</Typography>
      {problems.map(({ path, message }) => (
        <Typography key={path + message}>
          {placeText(path)}
          {message}
        </Typography>
      ))}
    </Box>
  );
}

const PLACES: Readonly<Record<string, string>> = {
  "words.name": t("Name"),
  "words.steps": t("Steps"),
  "words.feel": t("Where it is felt"),
  "movement.effortCap": t("Effort cap"),
};

function placeText(path: string): string {
  const pose = /^figure\.poses\.(\d+)/.exec(path);
  if (pose) return `${t("Pose {{pose}}:", { pose: Number(pose[1]) + 1 })} `;
  const known = Object.keys(PLACES).find((key) => path.startsWith(key));
  return known ? `${PLACES[known]}: ` : "";
}
