/** Who of the crew would not start like everybody, before the program is made: each with why, to be taken or declined. */
import { Box, Typography } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";
import type { PersonalStart } from "@kind-grip/core/program";
import type { Participations } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { StartsList } from "../program/StartsList";

interface WhoDiffersProps {
  people: readonly PersonEntry[];
  starts: readonly PersonalStart[];
  participations: Participations;
  measured: boolean;
  declined: ReadonlySet<string>;
  onDecline(declined: ReadonlySet<string>): void;
}

export function WhoDiffers({ people, starts, participations, measured, declined, onDecline }: WhoDiffersProps) {
  const differing = new Set(starts.map(({ personId }) => personId)).size;
  return (
    <Box component="section" aria-labelledby="who-differs" sx={{ mb: 4 }}>
      <Typography variant="h2" id="who-differs" sx={{ borderBottom: "2px solid", borderColor: "line", pb: 0.5 }}>
        {t("Who starts otherwise")}
      </Typography>
      <Typography sx={{ py: 1, maxWidth: 720 }}>
        {differing > 0
          ? t("{{count}} of {{all}} people. What is marked is set when you make the program; each can be changed there.", {
              count: differing,
              all: people.length,
              defaultValue_one: "{{count}} of {{all}} people. What is marked is set when you make the program; each can be changed there.",
            })
          : measured
            ? t("Nobody: nothing that was last measured or asked calls for another start.")
            : t("Nobody was measured yet: a baseline round tells who should start easier.")}
      </Typography>
      <StartsList people={people} starts={starts} participations={participations} declined={declined} onDecline={onDecline} />
    </Box>
  );
}
