/** Where something is felt: tap the place, then what it is, how much, since when, at night. "Nothing anywhere" is an answer too. */
import { Box, Button, ButtonBase, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Check, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { MAP_VIEWS } from "@kind-grip/core/figure";
import { wordsIn } from "@kind-grip/core/language";
import { REGIONS, type Region } from "@kind-grip/core/library";
import { NIGHTS, SYMPTOM_KINDS, type Symptom } from "@kind-grip/core/safety";
import type { HandSide } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import { HandMapPicture } from "../figure/HandMapPicture";
import { Choice } from "../parts/Choice";
import { SideMark } from "../parts/SideMark";
import { Toggle } from "../parts/Toggle";
import type { EditedRecord } from "./use-record";
import { ZeroToTen } from "../parts/ZeroToTen";

export function SymptomPart({ edited, today }: { edited: EditedRecord; today: string }) {
  const words = wordsIn();
  const { symptoms, symptomsAsked } = edited.value;
  const [openId, setOpenId] = useState<string | null>(symptoms[0]?.id ?? null);
  const open = symptoms.find(({ id }) => id === openId) ?? null;
  const marks = useMemo(
    () => symptoms.map(({ side, region, level }) => ({ side, region, strength: Math.max(0.15, level / 10) })),
    [symptoms],
  );
  const set = (next: Symptom[], gesture?: string) => edited.change({ ...edited.value, symptoms: next, symptomsAsked: true }, gesture);
  const pick = (side: HandSide, region: string) => {
    const there = symptoms.find((each) => each.side === side && each.region === region);
    if (there) return setOpenId(there.id);
    const made: Symptom = {
      id: uuid(),
      side,
      region: region as Region,
      kind: "ache",
      level: 3,
      since: null,
      nights: "never",
      constant: false,
    };
    setOpenId(made.id);
    set([...symptoms, made]);
  };
  const nameOf = (side: HandSide, region: string) => `${words.label("side", side)} ${words.label("region", region).toLowerCase()}`;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { md: "minmax(0, 1.55fr) minmax(300px, 1fr)" }, columnGap: 4, rowGap: 3 }}>
      <Box>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
          {MAP_VIEWS.map((view) => (
            <Box key={view} sx={view === "shoulders" ? { gridColumn: "1 / -1", maxWidth: 300, width: "100%", mx: "auto" } : {}}>
              <HandMapPicture view={view} marks={marks} chosen={open} nameOf={nameOf} onPick={pick} />
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
            set([]);
          }}
          sx={{ mb: 2 }}
        >
          Nothing anywhere
        </Button>
        {symptoms.length === 0 && !symptomsAsked && (
          <Typography sx={{ color: "text.secondary" }}>Tap where something is felt, or say that there is nothing.</Typography>
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
                  {words.label("region", symptom.region)}: {words.symptomKind(symptom.kind).toLowerCase()}, {symptom.level} of 10
                </ButtonBase>
                <IconButton
                  aria-label={`Remove ${nameOf(symptom.side, symptom.region)}`}
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
                      symptoms.map((each) => (each.id === next.id ? next : each)),
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

function SymptomFields({
  symptom,
  today,
  onChange,
}: {
  symptom: Symptom;
  today: string;
  onChange(symptom: Symptom, gesture?: string): void;
}) {
  const words = wordsIn();
  const set = <K extends keyof Symptom>(key: K, value: Symptom[K]) => onChange({ ...symptom, [key]: value }, `${symptom.id} ${key}`);
  return (
    <Box sx={{ display: "grid", gap: 1.75, pl: 0.5, pb: 1 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
        {SYMPTOM_KINDS.map((kind) => (
          <Toggle key={kind} label={words.symptomKind(kind)} pressed={symptom.kind === kind} onChange={() => set("kind", kind)} />
        ))}
      </Box>
      <ZeroToTen label="How much" nameOf={(level) => `${level} of 10`} value={symptom.level} onChange={(level) => set("level", level)} />
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
        <Choice
          label="At night"
          value={symptom.nights}
          onChange={(nights) => set("nights", nights)}
          options={NIGHTS.map((value) => ({ value, label: words.nights(value) }))}
        />
        <Toggle label="All the time" pressed={symptom.constant} onChange={(constant) => set("constant", constant)} />
      </Box>
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <TextField
          label="Since"
          type="date"
          value={symptom.since ?? ""}
          onChange={(event) => set("since", event.target.value || null)}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { max: today } }}
          sx={{ width: 180 }}
        />
        <TextField select label="Place" value={symptom.region} onChange={(event) => set("region", event.target.value as Region)}>
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
