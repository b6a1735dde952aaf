/** The crew's groups: who is off the job with whom. People are dragged, or moved by arrow keys; series of a group follow. */
import { DndContext, useDraggable, useDroppable, type DragEndEvent } from "@dnd-kit/core";
import {
  Box,
  Button,
  ButtonBase,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  IconButton,
  TextField,
  Typography,
} from "@mui/material";
import { GripVertical, Plus, Shuffle, Trash2 } from "lucide-react";
import { DateTime } from "luxon";
import { useState, type KeyboardEvent, type ReactNode } from "react";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { formGroups, groupNamed, inGroup, withGroup, withoutGroup, type WeekPlanned } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import { peopleText } from "../base/amounts";
import { dateText } from "../base/dates";
import { UNSEEN } from "../base/unseen";
import { t } from "../base/words";
import { useDragSensors } from "../parts/use-drag-sensors";

interface GroupsDialogProps {
  crew: CrewEntry;
  plan: WeekPlanned;
  /** Who is in the crew or will be. */
  people: readonly PersonEntry[];
  today: string;
  onChange(plan: WeekPlanned): void;
  onClose(): void;
}

/** The column of those who are in no group, among ids. */
const NO_GROUP = "none";

export function GroupsDialog({ crew, plan, people, today, onChange, onClose }: GroupsDialogProps) {
  const { groups } = plan.standing;
  const [said, setSaid] = useState("");
  const sensors = useDragSensors();
  const named = new Set(groups.flatMap((group) => group.people));
  const columns = [
    ...groups.map(({ id, name, people: own }) => ({ id, name, people: people.filter((person) => own.includes(person.id)) })),
    { id: NO_GROUP, name: t("In no group"), people: people.filter(({ id }) => !named.has(id)) },
  ];
  const put = (person: PersonEntry, columnId: string) => {
    onChange(inGroup(plan, [person.id], columnId === NO_GROUP ? null : columnId));
    setSaid(t("{{name}}: {{group}}", { name: person.name, group: columns.find(({ id }) => id === columnId)!.name }));
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const person = people.find(({ id }) => id === active.id);
    if (person && over) put(person, String(over.id));
  };
  const step = (person: PersonEntry, from: string, by: number) => {
    const at = columns.findIndex(({ id }) => id === from);
    const to = columns[(at + by + columns.length) % columns.length]!;
    put(person, to.id);
    // In another column it is another element: the keys stay with the name.
    requestAnimationFrame(() => document.getElementById(chipId(person.id))?.focus());
  };
  const add = () => onChange(withGroup(plan, { id: uuid(), name: freeName(groups.map(({ name }) => name)), people: [] }));
  const form = () => {
    const made = formGroups(
      people.map(({ id }) => id),
      [],
      crew.mostOffJob,
    );
    const fresh = made.map(({ name, people: own }) => ({ id: uuid(), name, people: own }));
    onChange({ ...plan, standing: { ...plan.standing, groups: fresh } });
  };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="groups">
      <DialogTitle id="groups">{t("Groups of {{crew}}", { crew: crew.name })}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <Typography>
          {t("Who is off the job together. Drag a name, or choose it and press the arrow keys. What is planned for a group follows it.")}
        </Typography>
        <DndContext sensors={sensors} onDragEnd={drop}>
          <Box
            sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(min(100%, 230px), 1fr))", gap: 2, alignItems: "start" }}
          >
            {columns
              .filter(({ id, people: own }) => id !== NO_GROUP || own.length > 0 || groups.length === 0)
              .map(({ id, name, people: own }) => (
                <Column key={id} id={id} name={name} count={own.length}>
                  {id !== NO_GROUP && (
                    <Box sx={{ display: "flex", gap: 0.5, alignItems: "end" }}>
                      <GroupName name={name} onChange={(next) => onChange(groupNamed(plan, id, next))} />
                      <IconButton aria-label={t("Remove {{name}}", { name })} onClick={() => onChange(withoutGroup(plan, id, today))}>
                        <Trash2 size={18} />
                      </IconButton>
                    </Box>
                  )}
                  {own.map((person) => (
                    <PersonChip key={person.id} person={person} today={today} groupName={name} onStep={(by) => step(person, id, by)} />
                  ))}
                </Column>
              ))}
          </Box>
        </DndContext>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Button variant="outlined" startIcon={<Plus size={20} />} onClick={add}>
            {t("One group more")}
          </Button>
          {groups.length === 0 && people.length > 1 && (
            <Button variant="outlined" startIcon={<Shuffle size={20} />} onClick={form}>
              {t("Form them: at most {{count}} off the job", { count: crew.mostOffJob })}
            </Button>
          )}
        </Box>
        <Box role="status" sx={UNSEEN}>
          {said}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t("Done")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Column({ id, name, count, children }: { id: string; name: string; count: number; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <Box
      ref={setNodeRef}
      role="group"
      aria-label={name}
      sx={{
        display: "grid",
        gap: 0.75,
        alignContent: "start",
        minHeight: 120,
        p: 1.5,
        borderRadius: 2,
        border: "2px solid",
        borderColor: isOver ? "primary.main" : "line",
        bgcolor: "background.paper",
      }}
    >
      <Typography sx={{ fontSize: "0.9rem", color: "text.secondary" }}>
        {id === NO_GROUP ? `${name} · ` : ""}
        {peopleText(count)}
      </Typography>
      {children}
    </Box>
  );
}

/** Kept when it is left, or with Enter; an empty name is the one before. */
function GroupName({ name, onChange }: { name: string; onChange(name: string): void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const next = typed?.trim();
    if (next && next !== name) onChange(next);
    setTyped(null);
  };
  return (
    <TextField
      label={t("Name")}
      value={typed ?? name}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === "Enter" && commit()}
      sx={{ flex: 1 }}
      slotProps={{ htmlInput: { maxLength: 120 } }}
    />
  );
}

interface PersonChipProps {
  person: PersonEntry;
  today: string;
  groupName: string;
  onStep(by: number): void;
}

function PersonChip({ person, today, groupName, onStep }: PersonChipProps) {
  const { listeners, setNodeRef, transform, isDragging } = useDraggable({ id: person.id });
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onStep(by);
  };
  return (
    <ButtonBase
      ref={setNodeRef}
      id={chipId(person.id)}
      aria-label={t("{{name}}, {{group}}. Arrow keys move to another group.", { name: person.name, group: groupName })}
      onMouseDown={listeners?.onMouseDown as never}
      onTouchStart={listeners?.onTouchStart as never}
      onKeyDown={onKey}
      sx={{
        justifyContent: "start",
        gap: 0.75,
        px: 1,
        minHeight: 40,
        borderRadius: 1.5,
        border: "1px solid",
        borderColor: "edge",
        bgcolor: "background.default",
        fontSize: "1rem",
        textAlign: "start",
        cursor: "grab",
        touchAction: "manipulation",
        userSelect: "none",
        zIndex: isDragging ? 2 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <GripVertical size={16} aria-hidden />
      {person.name}
      {person.startedOn && person.startedOn > today && (
        <Box component="span" sx={{ color: "text.secondary" }}>
          {t("from {{day}}", { day: dateText(DateTime.fromISO(person.startedOn), "d LLL") })}
        </Box>
      )}
    </ButtonBase>
  );
}

function chipId(personId: string): string {
  return `group-of-${personId}`;
}

function freeName(names: readonly string[]): string {
  let nr = names.length + 1;
  while (names.includes(t("Group {{nr}}", { nr }))) nr += 1;
  return t("Group {{nr}}", { nr });
}
