/**
 * Where something is felt: a tap on the place asks what it is, how much and whether it wakes; nothing is recorded before that is answered.
 * "Nothing anywhere" is an answer too.
 */
import { Box, Button, ButtonBase, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Check, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { MAP_VIEWS } from "@kind-grip/core/figure";
import { REGIONS, type Region } from "@kind-grip/core/library";
import { NIGHTS, SYMPTOM_KINDS, type Symptom } from "@kind-grip/core/safety";
import type { HandSide } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { v7 as uuid } from "uuid";
import { HandMapPicture } from "../figure/HandMapPicture";
import { Choice } from "../parts/Choice";
import { SideMark } from "../parts/SideMark";
import { Toggle } from "../parts/Toggle";
import type { EditedRecord } from "./use-record";
import { ZeroToTen } from "../parts/ZeroToTen";
import { DateField } from "../parts/DateField";

export function SymptomPart({ edited, today }: { edited: EditedRecord; today: string }) {
  const words = useWords();
  const { symptoms, symptomsAsked } = edited.value;
  const [openId, setOpenId] = useState<string | null>(symptoms[0]?.id ?? null);
  const [draft, setDraft] = useState<Draft | null>(null);
  const open = draft ?? symptoms.find(({ id }) => id === openId) ?? null;
  const marks = useMemo(
    () => symptoms.map(({ side, region, level }) => ({ side, region, strength: Math.max(0.15, level / 10) })),
    [symptoms],
  );
  const set = (next: Symptom[], gesture?: string) => edited.change({ ...edited.value, symptoms: next, symptomsAsked: true }, gesture);
  const pick = (side: HandSide, region: string) => {
    const there = symptoms.find((each) => each.side === side && each.region === region);
    setDraft(there ? null : { id: uuid(), side, region: region as Region, since: null, constant: false });
    setOpenId(there?.id ?? null);
  };
  const answer = (next: Draft) => {
    const { kind, level, nights } = next;
    if (kind === undefined || level === undefined || nights === undefined) return setDraft(next);
    setDraft(null);
    setOpenId(next.id);
    set([...symptoms, { ...next, kind, level, nights }]);
  };
  const nameOf = (side: HandSide, region: string) => `${words.label("side", side)} ${words.label("region", region).toLowerCase()}`;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.7fr) minmax(340px, 1fr)" },
        columnGap: 3,
        rowGap: 3,
      }}
    >
      <Box>
        {/* Side by side only where the marks stay far enough apart for a thumb. */}
        <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(min(100%, 252px), 1fr))", gap: 1 }}>
          {MAP_VIEWS.map((view) => (
            <Box key={view} sx={view === "shoulders" ? { gridColumn: "1 / -1", maxWidth: 300, width: "100%", mx: "auto" } : {}}>
              <HandMapPicture view={view} marks={marks} picking={{ chosen: open, nameOf, onPick: pick }} />
            </Box>
          ))}
        </Box>
      </Box>
      <Box>
        <Button
          variant={symptomsAsked && symptoms.length === 0 ? "contained" : "outlined"}
          startIcon={symptomsAsked && symptoms.length === 0 ? <Check size={18} /> : undefined}
          onClick={() => {
            setOpenId(null);
            setDraft(null);
            set([]);
          }}
          sx={{ mb: 2 }}
        >
          {t("Nothing anywhere")}
        </Button>
        {draft && (
          <Box
            component="section"
            aria-label={t("Asked: {{name}}", { name: nameOf(draft.side, draft.region) })}
            sx={{ borderLeft: "5px solid", borderColor: "warm.main", pl: 2, mb: 2 }}
          >
            <Typography sx={{ fontWeight: 750, fontSize: "1.1rem", display: "flex", gap: 1, alignItems: "center", mb: 1 }}>
              <SideMark side={draft.side} size={30} />{" "}
              {t("{{word}}: not recorded until it is answered", { word: words.label("region", draft.region) })}
            </Typography>
            <SymptomFields symptom={draft} today={today} onChange={answer} />
            <Button onClick={() => setDraft(null)}>{t("Nothing there")}</Button>
          </Box>
        )}
        {symptoms.length === 0 && !symptomsAsked && !draft && (
          <Typography sx={{ color: "text.secondary" }}>{t("Tap where something is felt, or say that there is nothing.")}</Typography>
        )}
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {symptoms.map((symptom) => (
            <Box component="li" key={symptom.id} sx={{ borderTop: "1px solid", borderColor: "line", py: 1 }}>
              <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
                <SideMark side={symptom.side} size={30} />
                <ButtonBase
                  onClick={() => setOpenId(symptom.id === openId ? null : symptom.id)}
                  aria-expanded={symptom.id === openId}
                  sx={{ flex: 1, justifyContent: "flex-start", minHeight: 44, textAlign: "left", fontWeight: 700, fontSize: "1.05rem" }}
                >
                  {t("{{region}}: {{kind}}, {{level}} of 10", {
                    region: words.label("region", symptom.region),
                    kind: words.symptomKind(symptom.kind).toLowerCase(),
                    level: symptom.level,
                  })}
                </ButtonBase>
                <IconButton
                  aria-label={t("Remove {{name}}", { name: nameOf(symptom.side, symptom.region) })}
                  onClick={() => set(symptoms.filter(({ id }) => id !== symptom.id))}
                >
                  <Trash2 size={20} />
                </IconButton>
              </Box>
              {symptom.id === openId && (
                <SymptomFields
                  symptom={symptom}
                  today={today}
                  onChange={(next, gesture) =>
                    set(
                      symptoms.map((each) => (each.id === next.id ? (next as Symptom) : each)),
                      gesture,
                    )
                  }
                />
              )}
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

/** What was tapped and is still being asked. */
type Draft = Omit<Symptom, "kind" | "level" | "nights"> & Partial<Pick<Symptom, "kind" | "level" | "nights">>;

function SymptomFields({ symptom, today, onChange }: { symptom: Draft; today: string; onChange(symptom: Draft, gesture?: string): void }) {
  const words = useWords();
  const set = <K extends keyof Draft>(key: K, value: Draft[K]) => onChange({ ...symptom, [key]: value }, `${symptom.id} ${key}`);
  return (
    <Box sx={{ display: "grid", gap: 1.75, pl: 0.5, pb: 1 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
        {SYMPTOM_KINDS.map((kind) => (
          <Toggle key={kind} label={words.symptomKind(kind)} pressed={symptom.kind === kind} onChange={() => set("kind", kind)} />
        ))}
      </Box>
      <Typography sx={{ color: "text.secondary", mb: -1.25 }}>{t("0 = nothing, 10 = the worst they can imagine")}</Typography>
      <ZeroToTen
        label={t("How much")}
        nameOf={(level) => t("{{level}} of 10", { level })}
        value={symptom.level}
        onChange={(level) => set("level", level)}
      />
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
        <Choice
          label={t("At night")}
          value={symptom.nights ?? null}
          onChange={(nights) => set("nights", nights)}
          options={NIGHTS.map((value) => ({ value, label: words.nights(value) }))}
        />
        <Toggle label={t("All the time")} pressed={symptom.constant} onChange={(constant) => set("constant", constant)} />
      </Box>
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <DateField
          label={t("Since")}
          value={symptom.since ?? null}
          onChange={(date) => set("since", date)}
          max={today}
          sx={{ width: 200, flex: "none" }}
        />
        <TextField select label={t("Place")} value={symptom.region} onChange={(event) => set("region", event.target.value as Region)}>
          {REGIONS.map((region) => (
            <MenuItem key={region} value={region}>
              {words.label("region", region)}
            </MenuItem>
          ))}
        </TextField>
      </Box>
    </Box>
  );
}
