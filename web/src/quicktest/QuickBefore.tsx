/** Before a run: the crew's quick test, one row a person, each as long as it takes to say a number; whoever does not is left out. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { ArrowLeftRight } from "lucide-react";
import { useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { t } from "../base/words";
import { MeterPanel } from "../meter/MeterPanel";
import { useMeter } from "../meter/use-meter";
import { QuickReading } from "./QuickReading";
import { withReading, type QuickReadings } from "./quick-readings";
import { QUICK_TEST_HOW, QUICK_TEST_NAMES } from "./words";

interface QuickBeforeProps {
  test: QuickTest;
  /** Who is here. */
  people: readonly PersonEntry[];
  readings: QuickReadings;
  onReadings(readings: QuickReadings): void;
}

export function QuickBefore({ test, people, readings, onReadings }: QuickBeforeProps) {
  const [open, setOpen] = useState(false);
  const taken = people.filter(({ id }) => readings[id]?.before != null).length;
  const name = QUICK_TEST_NAMES[test];
  return (
    <>
      <Button
        variant="outlined"
        startIcon={<ArrowLeftRight size={22} />}
        onClick={() => setOpen(true)}
        sx={{ minHeight: 52, fontSize: "1.1rem" }}
      >
        {taken === 0
          ? t("Before and after: {{name}}", { name: name.toLowerCase() })
          : t("Before: {{taken}} of {{people}}", { taken, people: people.length })}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="md" aria-labelledby="quick-test-title">
        <DialogTitle id="quick-test-title">{t("Before: {{name}}", { name })}</DialogTitle>
        <DialogContent>
          <Typography sx={{ mb: 1.5 }}>
            {QUICK_TEST_HOW[test]} {t("Ask again after the run; whoever does not want to is left out.")}
          </Typography>
          {test === "grip" ? (
            <WithMeter>{(meter) => <Rows {...{ test, people, readings, onReadings, meter }} />}</WithMeter>
          ) : (
            <Rows {...{ test, people, readings, onReadings }} />
          )}
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={() => setOpen(false)}>
            {t("Done")}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

/** A meter is only asked for where one is used. */
export function WithMeter({ children }: { children(meter: ReturnType<typeof useMeter>): React.ReactNode }) {
  const meter = useMeter();
  return (
    <>
      <MeterPanel meter={meter} />
      {children(meter)}
    </>
  );
}

function Rows({ test, people, readings, onReadings, meter }: QuickBeforeProps & { meter?: ReturnType<typeof useMeter> }) {
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {people.map(({ id, name }) => (
        <Box
          component="li"
          key={id}
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "200px minmax(0, 1fr)" },
            columnGap: 2,
            rowGap: 0.5,
            alignItems: "center",
            py: 0.75,
            borderTop: "1px solid",
            borderColor: "line",
          }}
        >
          <Typography sx={{ fontWeight: 650 }}>{name}</Typography>
          <QuickReading
            test={test}
            label={t("{{name}}, before", { name })}
            value={readings[id]?.before ?? null}
            onChange={(value) => onReadings(withReading(readings, id, "before", value))}
            meter={meter}
          />
        </Box>
      ))}
    </Box>
  );
}
