/** One reading of a quick test: eleven buttons, or kilograms typed or from the meter. */
import { Box, Button, Typography } from "@mui/material";
import { Hand } from "lucide-react";
import { useState } from "react";
import { readTrial } from "@kind-grip/core/meter";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { t } from "../base/words";
import { trialIsOver } from "../meter/trial-over";
import type { Meter } from "../meter/use-meter";
import { AmountField } from "../parts/AmountField";
import { ZeroToTen } from "../parts/ZeroToTen";

interface QuickReadingProps {
  test: QuickTest;
  /** Whose, and before or after: of the row, for screen readers. */
  label: string;
  value: number | null;
  onChange(value: number | null): void;
  meter?: Meter;
}

export function QuickReading({ test, label, value, onChange, meter }: QuickReadingProps) {
  if (test === "grip") return <GripReading label={label} value={value} onChange={onChange} meter={meter} />;
  return (
    <Box sx={{ display: "flex" }}>
      <ZeroToTen label={label} value={value} onChange={onChange} />
    </Box>
  );
}

function GripReading({ label, value, onChange, meter }: Omit<QuickReadingProps, "test">) {
  const [squeezing, setSqueezing] = useState(false);
  const [said, setSaid] = useState("");
  const canRead = meter?.state === "on" && meter.kinds.includes("grip");
  const squeeze = () => {
    if (!meter) return;
    setSqueezing(true);
    setSaid("");
    meter.start("grip", (readings) => {
      if (!trialIsOver(readings)) return;
      meter.stop();
      setSqueezing(false);
      const trial = readTrial(readings);
      if (trial) onChange(trial.peakKg);
      else setSaid(t("Nobody squeezed. Nothing was kept."));
    });
    // A simulated meter has no hand on it: ask it to squeeze.
    if (meter.settings) meter.squeeze();
  };
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
      <Box sx={{ width: 130 }}>
        <AmountField
          label={label}
          quantity="mass"
          value={value}
          onChange={onChange}
          problem={Number.isNaN(value) ? t("is not a weight") : undefined}
        />
      </Box>
      {canRead && (
        <Button
          variant="outlined"
          startIcon={<Hand size={20} />}
          disabled={meter.streaming !== null}
          onClick={squeeze}
          sx={{ minHeight: 48 }}
        >
          {squeezing ? t("Squeeze …") : t("From the meter")}
        </Button>
      )}
      {said && <Typography role="status">{said}</Typography>}
    </Box>
  );
}
