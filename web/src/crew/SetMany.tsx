/** What is set for all who are chosen, in one act and with one way back. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { QrCode, X } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import type { Person } from "@kind-grip/core/crew";
import type { Handedness } from "@kind-grip/core/units";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { GroupChoice } from "../dayplan/GroupChoice";
import { Choice } from "../parts/Choice";
import { crewApi } from "./api";
import { personOf } from "./person-of";
import { DateField } from "../parts/DateField";

interface SetManyProps {
  crew: CrewEntry;
  people: readonly PersonEntry[];
  onLetGo(): void;
}

export function SetMany({ crew, people, onLetGo }: SetManyProps) {
  const crewId = crew.id;
  const [keep, { error, isLoading }] = crewApi.useKeepPeopleMutation();
  const dispatch = useAppDispatch();
  const [days, setDays] = useState({ startedOn: "", leftOn: "" });
  const problem = error ? problemOf(error) : undefined;
  const set = async (change: Partial<Person>) => {
    const before = people.filter((person) => (Object.keys(change) as (keyof Person)[]).some((field) => person[field] !== change[field]));
    if (before.length === 0) {
      dispatch(notify({ text: t("That is how it is already.") }));
      return;
    }
    const kept = await keep({
      crewId,
      people: [],
      changes: before.map((person) => ({ id: person.id, version: person.version, person: { ...personOf(person), ...change } })),
    });
    if (!kept.data) return;
    const versions = new Map(kept.data.map(({ id, version }) => [id, version]));
    dispatch(
      notify({
        text: t("{{count}} people are changed.", { count: before.length, defaultValue_one: "{{count}} person is changed." }),
        undo: () =>
          keep({
            crewId,
            people: [],
            changes: before.map((person) => ({ id: person.id, version: versions.get(person.id)!, person: personOf(person) })),
          }),
      }),
    );
  };
  return (
    <Box
      role="region"
      aria-label={t("Set for the chosen")}
      aria-busy={isLoading}
      sx={{
        position: { md: "sticky" },
        top: 0,
        zIndex: 3,
        bgcolor: "background.default",
        borderBlock: "2px solid",
        borderColor: "primary.main",
        py: 1.25,
        mb: 1.5,
        display: "flex",
        gap: 2,
        alignItems: "end",
        flexWrap: "wrap",
      }}
    >
      <Typography sx={{ fontWeight: 700, fontSize: "1.25rem", alignSelf: "center", minWidth: 96 }}>
        {t("{{count}} chosen", { count: people.length })}
      </Typography>
      <Named label={t("Main hand")}>
        <Choice<Handedness | "unknown">
          label={t("Main hand of the chosen")}
          value={common(people, "handedness", "unknown")}
          onChange={(hand) => void set({ handedness: hand === "unknown" ? null : hand })}
          options={[
            { value: "left", label: "L" },
            { value: "right", label: "R" },
            { value: "both", label: "LR" },
            { value: "unknown", label: "?" },
          ]}
        />
      </Named>
      <TextField
        select
        label={t("Reads and hears")}
        value={common<Language | "none">(people, "language", "none") ?? ""}
        onChange={(event) => void set({ language: event.target.value === "none" ? null : (event.target.value as Language) })}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        sx={{ width: 150 }}
      >
        <MenuItem value="" disabled>
          {t("differs")}
        </MenuItem>
        <MenuItem value="none">{t("as the crew")}</MenuItem>
        {LANGUAGES.map((language) => (
          <MenuItem key={language} value={language} lang={language}>
            {LANGUAGE_FACTS[language].ownName}
          </MenuItem>
        ))}
      </TextField>
      <GroupChoice crew={crew} personIds={people.map(({ id }) => id)} />
      {(["startedOn", "leftOn"] as const).map((field) => (
        <Box key={field} sx={{ display: "flex", alignItems: "end", gap: 0.5 }}>
          <DateField
            label={field === "startedOn" ? t("First day") : t("Last day")}
            value={days[field]}
            onChange={(date) => setDays({ ...days, [field]: date ?? "" })}
            inForm
            sx={{ width: 190 }}
          />
          {days[field] !== "" && (
            <Button
              variant="contained"
              onClick={() => void set({ [field]: days[field] }).then(() => setDays({ ...days, [field]: "" }))}
              aria-label={field === "startedOn" ? t("Set the first day") : t("Set the last day")}
              sx={{ px: 1 }}
            >
              {t("Set")}
            </Button>
          )}
        </Box>
      ))}
      <Button
        component={Link}
        to="cards"
        state={{ personIds: people.map(({ id }) => id) }}
        variant="outlined"
        startIcon={<QrCode size={20} />}
      >
        {t("Cards")}
      </Button>
      <IconButton onClick={onLetGo} aria-label={t("Let go of the chosen")} sx={{ ml: "auto" }}>
        <X size={22} />
      </IconButton>
      {problem && (
        <Typography role="alert" color="error" sx={{ width: "100%" }}>
          {problem.code === "stale"
            ? t("Somebody else changed {{names}} meanwhile. Nothing was set; look, then set it again.", {
                names: (problem.detail as PersonEntry[]).map(({ name }) => name).join(", "),
              })
            : [problem.message, ...new Set(problem.fields.map(({ message }) => message))].join(" ")}
        </Typography>
      )}
    </Box>
  );
}

function Named({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box>
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary", lineHeight: 1.3, mb: "3px" }}>{label}</Typography>
      {children}
    </Box>
  );
}

/** What all have in common; null where they differ. @param none how "nothing" is called */
function common<T extends string>(people: readonly PersonEntry[], field: "handedness" | "language", none: T): T | null {
  const values = new Set(people.map((person) => (person[field] ?? none) as T));
  return values.size === 1 ? [...values][0]! : null;
}
