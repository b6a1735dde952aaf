/** How much the voice says, and whether it is to be read as well. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import type { Language } from "@kind-grip/core/language";
import type { CoachLevel } from "@kind-grip/core/run";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import { canBuzz, type SoundChoice } from "./sound";
import { useVoices } from "./use-voice";

const RATES = { rateSlow: 0.85, rateUsual: 1, rateFast: 1.2 } as const;
type RateName = keyof typeof RATES;
const RATE_NAMES = Object.keys(RATES) as RateName[];

interface VoiceChoiceProps {
  /** What is spoken. */
  language: Language;
  sound: SoundChoice;
  onSound(choice: SoundChoice): void;
}

export function VoiceChoice({ language, sound, onSound }: VoiceChoiceProps) {
  const words = useWords();
  const voices = useVoices(language);
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "end" }}>
      {(sound.voice || sound.captions) && (
        <Box>
          <Typography sx={{ fontWeight: 650, mb: 0.5 }}>{words.member("voiceSays")}</Typography>
          <Choice<CoachLevel>
            label={words.member("voiceSays")}
            value={sound.coach}
            onChange={(coach) => onSound({ ...sound, coach })}
            options={[
              { value: "full", label: words.member("voiceFull") },
              { value: "brief", label: words.member("voiceBrief") },
              { value: "count", label: words.member("voiceCount") },
            ]}
          />
        </Box>
      )}
      {sound.voice && voices && voices.length > 0 && (
        <>
          {voices.length > 1 && (
            <TextField
              select
              label={words.member("voiceIs")}
              value={voices.find(({ voiceURI }) => voiceURI === sound.voices[language])?.voiceURI ?? voices[0]!.voiceURI}
              onChange={(event) => onSound({ ...sound, voices: { ...sound.voices, [language]: event.target.value } })}
              sx={{ minWidth: 180 }}
            >
              {voices.map(({ voiceURI, name }) => (
                <MenuItem key={voiceURI} value={voiceURI}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
          )}
          <Box>
            <Typography sx={{ fontWeight: 650, mb: 0.5 }}>{words.member("voiceRate")}</Typography>
            <Choice<RateName>
              label={words.member("voiceRate")}
              value={RATE_NAMES.find((name) => RATES[name] === sound.rate) ?? "rateUsual"}
              onChange={(name) => onSound({ ...sound, rate: RATES[name] })}
              options={RATE_NAMES.map((name) => ({ value: name, label: words.member(name) }))}
            />
          </Box>
        </>
      )}
      {sound.voice && voices?.length === 0 && <Typography sx={{ flexBasis: "100%" }}>{words.member("noVoice")}</Typography>}
      <Toggle label={words.member("captions")} pressed={sound.captions} onChange={(captions) => onSound({ ...sound, captions })} />
      {canBuzz() && <Toggle label={words.member("buzz")} pressed={sound.buzz ?? false} onChange={(buzz) => onSound({ ...sound, buzz })} />}
    </Box>
  );
}
