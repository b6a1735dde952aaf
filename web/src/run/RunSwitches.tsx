/** Sound, voice and the dim floor: the three switches of the run screens. */
import { Box, IconButton, Tooltip } from "@mui/material";
import { MessageSquare, MessageSquareOff, Moon, Sun, Volume2, VolumeX } from "lucide-react";
import { t } from "../base/words";
import type { SoundChoice } from "./sound";

interface RunSwitchesProps {
  sound: SoundChoice;
  onSound(choice: SoundChoice): void;
  dim: boolean;
  onDim(dim: boolean): void;
}

export function RunSwitches({ sound, onSound, dim, onDim }: RunSwitchesProps) {
  const switches = [
    {
      label: sound.sounds ? t("Mute the sounds") : t("Sounds on"),
      Icon: sound.sounds ? Volume2 : VolumeX,
      press: () => onSound({ ...sound, sounds: !sound.sounds }),
    },
    {
      label: sound.voice ? t("Mute the voice") : t("Voice on"),
      Icon: sound.voice ? MessageSquare : MessageSquareOff,
      press: () => onSound({ ...sound, voice: !sound.voice }),
    },
    { label: dim ? t("Bright floor") : t("Dim floor"), Icon: dim ? Sun : Moon, press: () => onDim(!dim) },
  ];
  return (
    <Box sx={{ display: "flex" }}>
      {switches.map(({ label, Icon, press }) => (
        <Tooltip key={label} title={label}>
          <IconButton aria-label={label} onClick={press}>
            <Icon size={24} />
          </IconButton>
        </Tooltip>
      ))}
    </Box>
  );
}
