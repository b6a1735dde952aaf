/** What could go with a program between treatments, at home and on days off: each as one block to take along. */
import { Box, Typography } from "@mui/material";
import type { BesideSession } from "@kind-grip/core/compose";
import type { BesideSlot } from "@kind-grip/core/session";
import { useWords } from "../base/library";
import { listText, spanText } from "../base/measures";
import { t } from "../base/words";
import { PictureButton } from "../library/PictureButton";
import { Toggle } from "../parts/Toggle";
import { SESSION_NAMES } from "../program/session-names";

interface BesideProps {
  /** Resets between treatments are among them. */
  resets: boolean;
  sessions: readonly BesideSession[] | undefined;
  taken: ReadonlySet<BesideSlot>;
  onTake(taken: ReadonlySet<BesideSlot>): void;
}

const MOST_REGIONS = 4;

export function Beside({ resets, sessions, taken, onTake }: BesideProps) {
  const words = useWords();
  return (
    <Box component="section" aria-labelledby="beside" sx={{ mb: 4 }}>
      <Typography variant="h2" id="beside" sx={{ borderBottom: "2px solid", borderColor: "line", pb: 0.5 }}>
        {resets ? t("Between treatments, at home and on days off") : t("At home and on days off")}
      </Typography>
      <Typography sx={{ py: 1, maxWidth: 720 }}>
        {t("By oneself, without anything from the site; on the phone and on paper. What is marked comes into the program.")}
      </Typography>
      {!sessions && <Typography role="status">{t("Working it out …")}</Typography>}
      {sessions?.length === 0 && <Typography>{t("Nothing that is needed can be done without the site and its kit.")}</Typography>}
      {sessions?.map(({ session, sec, regions, fresh }) => (
        <Box
          key={session.slot}
          role="group"
          aria-label={SESSION_NAMES[session.slot]}
          sx={{ py: 1.5, borderBottom: "1px solid", borderColor: "line" }}
        >
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
            <Toggle
              label={SESSION_NAMES[session.slot]}
              pressed={taken.has(session.slot)}
              onChange={(on) => onTake(new Set(on ? [...taken, session.slot] : [...taken].filter((slot) => slot !== session.slot)))}
            />
            <Typography sx={{ flex: "1 1 260px" }}>
              <strong>{spanText(sec)}</strong>,{" "}
              {t("for {{regions}}", {
                regions: listText(regions.slice(0, MOST_REGIONS).map((region) => words.label("region", region).toLowerCase())),
              })}
              {". "}
              {fresh.length === 0
                ? t("Nothing new to learn.")
                : t("New: {{movements}}.", { movements: listText(fresh.map((id) => words.movementName(id))) })}
            </Typography>
          </Box>
          <Box component="ul" sx={{ listStyle: "none", display: "flex", flexWrap: "wrap", gap: 1.5, m: 0, p: 0, pt: 1 }}>
            {session.items.map((item) => (
              <Box component="li" key={item.id} sx={{ width: 112 }}>
                <PictureButton movementId={item.movementId} formId={item.formId} />
                <Typography sx={{ lineHeight: 1.2, fontSize: "0.95rem" }}>
                  <strong>{words.movementName(item.movementId)}</strong>, {words.dose(item.dose)}
                </Typography>
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
