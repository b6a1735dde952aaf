/** Where something is felt: a tap on the picture, then what it is, how much, and whether it wakes; nothing is kept before that is answered. */
import { Box, Button, IconButton } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { MAP_VIEWS, type MapView } from "@kind-grip/core/figure";
import type { Region } from "@kind-grip/core/library";
import type { Symptom } from "@kind-grip/core/safety";
import type { HandSide } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import { useWords } from "../../base/library";
import { HandMapPicture } from "../../figure/HandMapPicture";
import { Choice } from "../../parts/Choice";
import { SideMark } from "../../parts/SideMark";
import { StepTitle } from "./StepTitle";
import { PlaceAnswers, type PlaceDraft } from "./PlaceAnswers";

interface FeltPlacesProps {
  symptoms: readonly Symptom[];
  onChange(symptoms: Symptom[]): void;
  onDone(): void;
}

export function FeltPlaces({ symptoms, onChange, onDone }: FeltPlacesProps) {
  const words = useWords();
  const [view, setView] = useState<MapView>("palms");
  const [draft, setDraft] = useState<PlaceDraft | null>(null);
  const nameOf = (side: HandSide, region: string) => `${words.label("side", side)}: ${words.label("place", region)}`;
  const pick = (side: HandSide, region: string) =>
    setDraft(
      symptoms.find((each) => each.side === side && each.region === region) ?? {
        id: uuid(),
        side,
        region: region as Region,
        since: null,
        constant: false,
      },
    );
  if (draft)
    return (
      <PlaceAnswers
        name={nameOf(draft.side, draft.region)}
        draft={draft}
        onChange={setDraft}
        onKeep={(symptom) => {
          onChange([...symptoms.filter(({ id }) => id !== symptom.id), symptom]);
          setDraft(null);
        }}
        onNothing={() => {
          onChange(symptoms.filter(({ id }) => id !== draft.id));
          setDraft(null);
        }}
      />
    );
  return (
    <>
      <StepTitle>{words.member("checkWhere")}</StepTitle>
      <Choice<MapView>
        label={words.member("checkWhere")}
        value={view}
        onChange={setView}
        options={MAP_VIEWS.map((value) => ({ value, label: words.member(`checkView.${value}`) }))}
      />
      <Box sx={{ my: 1.5, mx: "auto", maxWidth: "calc(46dvh * 0.8)" }}>
        <HandMapPicture
          view={view}
          name={words.member(`checkView.${view}`)}
          marks={symptoms.map(({ side, region, level }) => ({ side, region, strength: Math.max(0.15, level / 10) }))}
          picking={{ nameOf, onPick: pick }}
        />
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, mb: 1.5 }}>
        {symptoms.map((symptom) => (
          <Box
            component="li"
            key={symptom.id}
            sx={{ display: "flex", alignItems: "center", gap: 1.5, borderTop: "1px solid", borderColor: "line", py: 0.5 }}
          >
            <SideMark side={symptom.side} size={30} />
            <Button onClick={() => setDraft(symptom)} sx={{ flex: 1, justifyContent: "flex-start", textAlign: "start", minHeight: 48 }}>
              {words.label("place", symptom.region)}: {words.symptomKind(symptom.kind)}, {words.digits(String(symptom.level))}
            </Button>
            <IconButton
              aria-label={`${words.member("checkNothingThere")}: ${nameOf(symptom.side, symptom.region)}`}
              onClick={() => onChange(symptoms.filter(({ id }) => id !== symptom.id))}
            >
              <Trash2 size={22} />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Button variant="contained" fullWidth onClick={onDone} sx={{ minHeight: 60, fontSize: "1.2rem" }}>
        {words.member(symptoms.length === 0 ? "checkNothing" : "checkOthers")}
      </Button>
    </>
  );
}
