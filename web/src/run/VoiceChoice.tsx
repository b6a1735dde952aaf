/** How much the voice says, and whether it is to be read as well. */
import { Box, Typography } from "@mui/material";
import type { CoachLevel } from "@kind-grip/core/run";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import type { SoundChoice } from "./sound";
import { useVoice } from "./use-voice";

export function VoiceChoice({ sound, onSound }: { sound: SoundChoice; onSound(choice: SoundChoice): void }) {
  const words = useWords();
  const voice = useVoice();
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
      {sound.voice && voice === "none" && <Typography sx={{ flexBasis: "100%" }}>{words.member("noVoice")}</Typography>}
      <Toggle label={words.member("captions")} pressed={sound.captions} onChange={(captions) => onSound({ ...sound, captions })} />
    </Box>
  );
}
