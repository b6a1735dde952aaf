/** The studio: a movement of the practice's own, from a shape and angles; seen live, told in words, used like any other. */
import { Box, Button, IconButton, Tooltip, Typography } from "@mui/material";
import { ArrowLeft, Download, Redo2, Trash2, Undo2 } from "lucide-react";
import { useEffect, useMemo, useReducer, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { CUSTOM_PREFIX, customMovementProblems, type CustomMovement, type CustomProblem } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { problemOf, serverApi } from "../app/api";
import { LostPage } from "../app/CrashPage";
import { notify } from "../app/notices";
import { useAppDispatch } from "../app/store";
import { PageTitle } from "../parts/PageTitle";
import { keptDraft, dropDraft, keepDraft } from "./drafts";
import { newMovement } from "./new-movement";
import { PoseTabs } from "./PoseTabs";
import { ShapePanel } from "./ShapePanel";
import { StudioDetails } from "./StudioDetails";
import { StudioPicture } from "./StudioPicture";
import { studioReducer, studioWith } from "./studio-state";

export default function StudioPage() {
  const { ownId } = useParams();
  const { data: entries } = serverApi.useMovementsQuery();
  const entry = entries?.find(({ id }) => id === ownId);
  if (ownId && !entry) return <LostPage />;
  return <Studio key={ownId ?? "new"} id={ownId} version={entry?.version ?? 0} stored={entry?.custom} />;
}

function Studio({ id: givenId, version, stored }: { id: string | undefined; version: number; stored: CustomMovement | undefined }) {
  const draftKey = givenId ?? "new";
  const [state, act] = useReducer(studioReducer, undefined, () => {
    const draft = keptDraft(draftKey, version);
    return studioWith(draft ?? stored ?? newMovement(uuid()));
  });
  const { custom, at } = state;
  const id = custom.movement.id.slice(CUSTOM_PREFIX.length);
  const changed = state.past.length > 0 || (stored === undefined && custom.words.name !== "");
  const [refused, setRefused] = useState<CustomProblem[]>([]);
  const [tried, setTried] = useState(false);
  const [store, { isLoading }] = serverApi.useStoreMovementMutation();
  const [remove] = serverApi.useRemoveMovementMutation();
  const [restore] = serverApi.useRestoreMovementMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const found = useMemo(() => problemsOf(custom), [custom]);
  const poseProblems = found.filter(({ path }) => path.startsWith("figure."));
  const shown = tried ? [...found, ...refused] : poseProblems;

  useEffect(() => {
    if (changed) keepDraft(draftKey, version, custom);
  }, [changed, draftKey, version, custom]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || (event.target as Element).closest("input, textarea")) return;
      if (event.key.toLowerCase() === "z") act({ do: event.shiftKey ? "redo" : "undo" });
      else if (event.key.toLowerCase() === "y") act({ do: "redo" });
      else return;
      event.preventDefault();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);

  const change = (what: string, next: CustomMovement) => act({ do: "change", what, custom: next });
  const save = async () => {
    setTried(true);
    setRefused([]);
    if (found.length > 0) return;
    try {
      await store({ id, version, custom: trimmed(custom) }).unwrap();
      dropDraft(draftKey);
      dispatch(notify({ text: `${custom.words.name} is in the library.` }));
      void navigate(`/library/${custom.movement.id}`);
    } catch (error) {
      const { message, fields } = problemOf(error);
      setRefused(
        fields.length > 0
          ? fields.map(({ path, message: text }) => ({ path: path.replace(/^custom\./, ""), message: text }))
          : [{ path: "", message }],
      );
    }
  };

  return (
    <>
      <Button
        component={Link}
        to={givenId ? `/library/${CUSTOM_PREFIX}${givenId}` : "/library"}
        startIcon={<ArrowLeft size={18} />}
        sx={{ ml: -1.5, mb: 0.5 }}
      >
        {givenId ? custom.words.name : "Library"}
      </Button>
      <PageTitle title="Studio" lead="A movement of your own: shape it, say it, dose it.">
        <Tooltip title="Undo (Ctrl Z)">
          <span>
            <IconButton aria-label="Undo" disabled={state.past.length === 0} onClick={() => act({ do: "undo" })}>
              <Undo2 size={22} />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Redo (Ctrl Y)">
          <span>
            <IconButton aria-label="Redo" disabled={state.future.length === 0} onClick={() => act({ do: "redo" })}>
              <Redo2 size={22} />
            </IconButton>
          </span>
        </Tooltip>
        {givenId && (
          <>
            <IconButton aria-label="Download as a file" component="a" href={`/api/movements/${givenId}/file`} download>
              <Download size={22} />
            </IconButton>
            <IconButton
              aria-label="Take out of the library"
              onClick={async () => {
                await remove(givenId).unwrap();
                dispatch(notify({ text: `${custom.words.name} was taken out of the library.`, undo: () => void restore(givenId) }));
                void navigate("/library");
              }}
            >
              <Trash2 size={22} />
            </IconButton>
          </>
        )}
        <Button variant="contained" onClick={save} disabled={isLoading}>
          {givenId ? "Save" : "Save to the library"}
        </Button>
      </PageTitle>
      <Box sx={{ display: "grid", gridTemplateColumns: { md: "minmax(0, 1.25fr) minmax(320px, 1fr)" }, columnGap: 4, rowGap: 4 }}>
        <Box sx={{ display: "grid", gap: 2, alignContent: "start", position: { md: "sticky" }, top: 16, alignSelf: "start" }}>
          <StudioPicture custom={custom} at={at} />
          <PoseTabs custom={custom} at={at} onChoose={(index) => act({ do: "choose", at: index })} onChange={change} />
          <Problems problems={shown} />
        </Box>
        <ShapePanel custom={custom} at={at} onChange={change} />
      </Box>
      <StudioDetails custom={custom} problems={shown} onChange={change} />
    </>
  );
}

/** What stands in the way of saving, in words; empty texts are named before the server has to. */
function problemsOf(custom: CustomMovement): CustomProblem[] {
  const problems: CustomProblem[] = [];
  if (custom.words.name.trim() === "") problems.push({ path: "words.name", message: "is missing" });
  if (custom.words.steps.every((step) => step.trim() === "")) problems.push({ path: "words.steps", message: "say at least one step" });
  if (custom.words.feel.trim() === "") problems.push({ path: "words.feel", message: "is missing" });
  return [...problems, ...customMovementProblems(custom)];
}

function trimmed(custom: CustomMovement): CustomMovement {
  const lines = (list: readonly string[]) => list.map((line) => line.trim()).filter(Boolean);
  return {
    ...custom,
    words: { ...custom.words, steps: lines(custom.words.steps), watch: lines(custom.words.watch), care: lines(custom.words.care) },
  };
}

function Problems({ problems }: { problems: readonly CustomProblem[] }) {
  if (problems.length === 0) return null;
  return (
    <Box role="alert" sx={{ borderLeft: "4px solid", borderColor: "error.main", pl: 2 }}>
      <Typography sx={{ fontWeight: 700 }}>Before this can be saved</Typography>
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
  "words.name": "Name",
  "words.steps": "Steps",
  "words.feel": "Where it is felt",
  "movement.effortCap": "Effort cap",
};

function placeText(path: string): string {
  const pose = /^figure\.poses\.(\d+)/.exec(path);
  if (pose) return `Pose ${Number(pose[1]) + 1}: `;
  const known = Object.keys(PLACES).find((key) => path.startsWith(key));
  return known ? `${PLACES[known]}: ` : "";
}
