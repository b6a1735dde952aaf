/** One person after a run: were they here, how hard was it, what was marked, and the quick test once more. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { Check, Smartphone } from "lucide-react";
import type { PersonEntry } from "@kind-grip/core/api";
import type { QuickTest } from "@kind-grip/core/quicktest";
import type { MarkKind } from "@kind-grip/core/run";
import { t } from "../base/words";
import type { useMeter } from "../meter/use-meter";
import { Toggle } from "../parts/Toggle";
import { ZeroToTen } from "../parts/ZeroToTen";
import type { QuickReadings } from "../quicktest/quick-readings";
import { QuickReading } from "../quicktest/QuickReading";
import { QUICK_TEST_NAMES, readingText } from "../quicktest/words";
import { MARK_NAMES } from "./mark-names";

const SHOWN_MARKS: readonly MarkKind[] = ["tooMuch", "tingling", "sharpPain"];

interface FinishRowProps {
  person: PersonEntry;
  here: boolean;
  onHere(here: boolean): void;
  effort: number | null;
  saidOnPhone: boolean;
  onEffort(effort: number): void;
  marks: readonly MarkKind[];
  onMark(kind: MarkKind, on: boolean): void;
  /** What was measured of them before the run, if anything. */
  quick: {
    test: QuickTest;
    reading: QuickReadings[string];
    onAfter(value: number | null): void;
    meter: ReturnType<typeof useMeter>;
  } | null;
}

export function FinishRow({ person, here, onHere, effort, saidOnPhone, onEffort, marks, onMark, quick }: FinishRowProps) {
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "210px 1fr auto" },
        columnGap: 2,
        rowGap: 1,
        alignItems: "center",
        py: 0.75,
        borderTop: "1px solid",
        borderColor: "line",
      }}
    >
      <ButtonBase
        aria-pressed={here}
        aria-label={t("{{name}} was here", { name: person.name })}
        onClick={() => onHere(!here)}
        sx={{
          justifyContent: "flex-start",
          textAlign: "start",
          gap: 1,
          minHeight: 44,
          fontSize: "1.05rem",
          fontWeight: 650,
          color: here ? "text.primary" : "text.secondary",
          textDecoration: here ? "none" : "line-through",
        }}
      >
        <Box
          component="span"
          sx={{
            width: 24,
            height: 24,
            borderRadius: 1,
            border: "2px solid",
            borderColor: here ? "primary.main" : "line",
            bgcolor: here ? "primary.main" : "transparent",
            color: "primary.contrastText",
            display: "grid",
            placeItems: "center",
          }}
        >
          {here && <Check size={17} />}
        </Box>
        {person.name}
        {saidOnPhone && <Smartphone size={18} role="img" aria-label={t("said on their phone")} />}
      </ButtonBase>
      <Box sx={{ display: "flex", visibility: here ? "visible" : "hidden" }}>
        <ZeroToTen
          label={t("Effort of {{name}}", { name: person.name })}
          nameOf={(effort) => `${person.name}: ${effort}`}
          value={effort}
          onChange={onEffort}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 0.75, visibility: here ? "visible" : "hidden" }}>
        {SHOWN_MARKS.map((kind) => (
          <Toggle key={kind} label={MARK_NAMES[kind]} pressed={marks.includes(kind)} onChange={(on) => onMark(kind, on)} />
        ))}
      </Box>
      {here && quick && quick.reading.before != null && (
        <>
          <Typography sx={{ color: "text.secondary" }}>
            {t("{{test}}: was {{before}}", {
              test: QUICK_TEST_NAMES[quick.test],
              before: readingText(quick.test, quick.reading.before),
            })}
          </Typography>
          <Box sx={{ gridColumn: { md: "2 / -1" } }}>
            <QuickReading
              test={quick.test}
              label={t("{{name}}, after", { name: person.name })}
              value={quick.reading.after ?? null}
              onChange={quick.onAfter}
              meter={quick.meter}
            />
          </Box>
        </>
      )}
    </Box>
  );
}
