/** One function test of the trade, its effort told 0–10 for each hand; and what levers, tape and first loads need. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { FUNCTION_TESTS, type FunctionTest } from "@kind-grip/core/baseline";
import { HAND_SIDES } from "@kind-grip/core/units";
import { FIELD_UNITS } from "../base/measures";
import { sideWord, t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { Toggle } from "../parts/Toggle";
import { BigStepper } from "./BigStepper";
import type { EditedRecord } from "./use-record";
import { ZeroToTen } from "../parts/ZeroToTen";
import { FUNCTION_TEST_NAMES } from "./finding-text";

const { mass } = FIELD_UNITS;

export function FunctionPart({ edited, usual }: { edited: EditedRecord; usual: FunctionTest }) {
  const record = edited.value;
  const { functionTest, bodyMass } = record;
  const test = functionTest.test ?? usual;
  const set = (change: Partial<typeof functionTest>) => edited.change({ ...record, functionTest: { ...functionTest, test, ...change } });
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 860 }}>
      <TextField
        select
        label={t("Test")}
        value={test}
        onChange={(event) => set({ test: event.target.value as FunctionTest })}
        sx={{ maxWidth: 380 }}
      >
        {FUNCTION_TESTS.map((each) => (
          <MenuItem key={each} value={each}>
            {FUNCTION_TEST_NAMES[each]}
          </MenuItem>
        ))}
      </TextField>
      {HAND_SIDES.map((side) => (
        <Box key={side} sx={{ display: "flex", gap: 2, alignItems: "center" }}>
          <SideMark side={side} size={36} />
          <ZeroToTen
            label={t("Effort, {{side}} hand", { side: sideWord(side) })}
            nameOf={(effort) => t("{{side}}: {{effort}} of 10", { side: side === "left" ? t("Left") : t("Right"), effort })}
            value={functionTest[side]}
            side={side}
            size="tall"
            onChange={(effort) => set({ [side]: functionTest[side] === effort ? null : effort })}
          />
        </Box>
      ))}
      <Typography sx={{ color: "text.secondary", mt: -2 }}>
        {t("0 is nothing at all, 10 the most imaginable. Lower is better; a change counts from 2.")}
      </Typography>
      <Box sx={{ borderTop: "2px solid", borderColor: "line", pt: 2, display: "grid", gap: 2 }}>
        <Typography variant="h3">{t("Only where it is needed")}</Typography>
        <Box sx={{ display: "flex", gap: 4, flexWrap: "wrap", alignItems: "flex-end" }}>
          <Box>
            <Typography sx={{ mb: 0.5 }}>{t("Wrist crease to the middle of the palm")}</Typography>
            <BigStepper
              label={t("Palm, mm")}
              unit="mm"
              value={record.palmMm}
              start={80}
              min={50}
              max={140}
              onChange={(palmMm) => edited.change({ ...record, palmMm }, "palm")}
            />
          </Box>
          <Box>
            <Toggle
              label={t("Agrees to give body mass")}
              pressed={bodyMass.agreed}
              onChange={(agreed) => edited.change({ ...record, bodyMass: { agreed, kg: agreed ? bodyMass.kg : null } })}
            />
            {bodyMass.agreed && (
              <Box sx={{ mt: 1 }}>
                <BigStepper
                  label={t("Body mass, {{unit}}", { unit: mass.unit })}
                  unit={mass.unit}
                  value={bodyMass.kg === null ? null : Math.round(mass.shown(bodyMass.kg))}
                  start={Math.round(mass.shown(70))}
                  min={Math.ceil(mass.shown(30))}
                  max={Math.floor(mass.shown(250))}
                  onChange={(value) =>
                    edited.change({ ...record, bodyMass: { ...bodyMass, kg: value === null ? null : mass.stored(value) } }, "mass")
                  }
                />
              </Box>
            )}
          </Box>
        </Box>
        <TextField
          label={t("Note")}
          multiline
          minRows={2}
          value={record.note ?? ""}
          onChange={(event) => edited.change({ ...record, note: event.target.value || null }, "note")}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
        />
      </Box>
    </Box>
  );
}
