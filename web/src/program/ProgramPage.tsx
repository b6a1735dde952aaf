/** One program in the editor. */
import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { FoldHorizontal, TrendingUp, UserRoundCheck } from "lucide-react";
import { useEffect, useMemo, useState, type ComponentProps, type ReactNode } from "react";
import { Link, useParams } from "react-router";
import { isHere, placeOf, slotSecOf } from "@kind-grip/core/crew";
import { dateAt } from "@kind-grip/core/calendar";
import { newItem } from "@kind-grip/core/library";
import { notHeldOut, personalSession, sessionWithin } from "@kind-grip/core/safety";
import { withFirstLoad, withRamps } from "@kind-grip/core/program";
import { addItem, moveItem, type Session } from "@kind-grip/core/session";
import { spanText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { programApi } from "./api";
import { crewApi } from "../crew/api";
import { serverApi } from "../base/api";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Later } from "../parts/Later";
import { Loaded } from "../parts/Loaded";
import { useTabTitle } from "../parts/PageTitle";
import { useDragSensors } from "../parts/use-drag-sensors";
import { useParticipations } from "../safety/use-participations";
import { FitDialog } from "./FitDialog";
import { Inspector } from "./Inspector";
import { LibraryDrawer } from "./LibraryDrawer";
import { NewOrBack } from "./NewOrBack";
import { PersonalStartsDialog } from "./PersonalStartsDialog";
import { ProgramBar } from "./ProgramBar";
import { RegionBalance } from "./RegionBalance";
import { Score } from "./score/Score";
import { SessionTabs } from "./SessionTabs";
import { useRamps } from "./use-ramps";
import { OpenProgram, useEdit, useEditedSession, useProgramEditor, useTimeline } from "./program-editor";

export default function ProgramPage() {
  const { programId } = useParams();
  const crew = useCrew();
  const program = programApi.useProgramQuery(programId!, { refetchOnMountOrArgChange: true });
  const people = crewApi.usePeopleQuery(crew.id);
  return (
    <Loaded query={program}>
      {(entry) => (
        <Loaded query={people}>
          {(list) => (
            <OpenProgram key={entry.id} entry={entry}>
              <Editor crew={crew} people={list} />
            </OpenProgram>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Editor({ crew, people }: { crew: CrewEntry; people: PersonEntry[] }) {
  const library = useLibrary();
  const { program, changeSession, chooseItem } = useEdit();
  const { itemId } = useProgramEditor();
  const session = useEditedSession();
  const dispatch = useAppDispatch();
  // Lists are told when the editor closes: its own copy is ahead of any answer.
  useEffect(() => () => void dispatch(serverApi.util.invalidateTags(["Programs"])), [dispatch]);
  const sensors = useDragSensors();
  const today = dateAt(useNow(), crew.timeZone);
  const participations = useParticipations(crew.id);
  const here = notHeldOut(
    people.filter((person) => isHere(person, today)),
    participations,
  );
  useTabTitle(`${program.name}, ${crew.name}`);

  const add = (movementId: string, index?: number) => {
    if (!session) return;
    const item = withFirstLoad(library, newItem(library.get(movementId), program.style, uuid()), placeOf(crew, session.slot).kit);
    const chosenAt = session.items.findIndex((each) => each.id === itemId);
    changeSession(addItem(session, item, index ?? (chosenAt < 0 ? undefined : chosenAt + 1)));
    chooseItem(item.id);
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (!session || !over) return;
    const index = session.items.findIndex((item) => item.id === over.id);
    const movementId = active.data.current?.movementId as string | undefined;
    if (movementId) add(movementId, index < 0 ? session.items.length : index);
    else if (index >= 0 && active.id !== over.id) changeSession(moveItem(session, String(active.id), index));
  };

  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <ProgramBar crew={crew} />
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 268px" },
          columnGap: 3,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <SessionTabs crew={crew} />
          {!session ? (
            <Empty
              title={t("Which time of the shift first?")}
              text={t("A session fills one slot: before the shift, a break, or after it. Choose one above.")}
            />
          ) : session.items.length === 0 ? (
            <Empty
              title={t("{{name}} is empty", { name: session.name })}
              text={t("Take movements from the library: press + or drag them here. Start with one that gets ready.")}
            />
          ) : (
            <SessionScore session={session} crew={crew} people={here} />
          )}
        </Box>
        {session && (
          <Later meanwhile={<Box />}>
            <LibraryDrawer crew={crew} slot={session.slot} style={program.style} onAdd={add} />
          </Later>
        )}
      </Box>
    </DndContext>
  );
}

function SessionScore({
  session,
  crew,
  people,
}: {
  session: NonNullable<ReturnType<typeof useEditedSession>>;
  crew: CrewEntry;
  people: PersonEntry[];
}) {
  const library = useLibrary();
  const [seenFor, setSeenFor] = useState("");
  const personId = people.some((person) => person.id === seenFor) ? seenFor : null;
  const participations = useParticipations(crew.id);
  const within = useMemo(() => sessionWithin(library, session, participations), [library, session, participations]);
  const { ramps, entries } = useRamps(crew.id);
  const now = useMemo(
    () => sessionWithin(library, withRamps(library, session, ramps), participations),
    [library, session, ramps, participations],
  );
  const timeline = useTimeline(
    personId ? now : within,
    people.map((person) => person.id),
    personId,
  );
  const seen = useMemo(() => (personId ? personalSession(library, now, personId) : session), [library, now, personId, session]);
  const { itemId } = useProgramEditor();
  const item = session.items.find((each) => each.id === itemId);
  const differing = people.filter((person) => now.items.some((each) => each.personal[person.id]));
  return (
    <>
      <Score session={session} seen={seen} timeline={timeline} slotSec={slotSecOf(crew, session.slot)} />
      <FitButton session={within} crew={crew} people={people} overSec={timeline.totalSec - slotSecOf(crew, session.slot)}>
        <PersonalStartsButton session={session} crew={crew} people={people} participations={participations} />
        <BlockButton crew={crew} />
      </FitButton>
      {item ? (
        <Inspector key={item.id} session={session} item={item} people={people} participations={participations} />
      ) : (
        <Box sx={{ display: "flex", gap: 3, mt: 1, alignItems: "center", flexWrap: "wrap" }}>
          <Typography sx={{ color: "text.secondary", flex: 1, minWidth: 260 }}>
            {t("Choose an item to change it. Arrow keys move along the score.")}
          </Typography>
          {differing.length > 0 && (
            <TextField
              select
              label={t("Score of")}
              value={personId ?? ""}
              onChange={(event) => setSeenFor(event.target.value)}
              sx={{ width: 260 }}
              slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
            >
              <MenuItem value="">{t("the whole group")}</MenuItem>
              {differing.map((person) => (
                <MenuItem key={person.id} value={person.id}>
                  {person.name}
                </MenuItem>
              ))}
            </TextField>
          )}
          {personId && <Button onClick={() => setSeenFor("")}>{t("Back to the group")}</Button>}
        </Box>
      )}
      <Later>
        <NewOrBack crewId={crew.id} people={people} entries={entries} />
        <RegionBalance session={within} timeline={timeline} people={people} />
      </Later>
    </>
  );
}

interface FitButtonProps {
  session: Session;
  crew: CrewEntry;
  people: PersonEntry[];
  overSec: number;
  children: ReactNode;
}

function FitButton({ session, crew, people, overSec, children }: FitButtonProps) {
  const [open, setOpen] = useState(false);
  return (
    <Box sx={{ mt: 0.5, display: "flex", gap: 1, flexWrap: "wrap" }}>
      <Button
        variant={overSec > 0 ? "contained" : "text"}
        color={overSec > 0 ? "warm" : "primary"}
        startIcon={<FoldHorizontal size={18} />}
        onClick={() => setOpen(true)}
        sx={overSec > 0 ? {} : { ml: -1.5 }}
      >
        {overSec > 0 ? t("{{overSec}} over: fit it", { overSec: spanText(overSec) }) : t("Fit to a length")}
      </Button>
      {children}
      {open && <FitDialog session={session} crew={crew} people={people} onClose={() => setOpen(false)} />}
    </Box>
  );
}

function PersonalStartsButton(props: Omit<ComponentProps<typeof PersonalStartsDialog>, "onClose">) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button startIcon={<UserRoundCheck size={18} />} onClick={() => setOpen(true)}>
        {t("Personal starts")}
      </Button>
      {open && <PersonalStartsDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}

function BlockButton({ crew }: { crew: CrewEntry }) {
  const { programId } = useProgramEditor();
  return (
    <Button startIcon={<TrendingUp size={18} />} component={Link} to={`/crews/${crew.id}/program/${programId}/block`}>
      {t("Weeks ahead")}
    </Button>
  );
}
