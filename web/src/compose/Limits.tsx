/** What a proposal has to keep to, as steppers and choices. */
import { Box, MenuItem, TextField } from "@mui/material";
import { type ComposeLimits } from "@kind-grip/core/compose";
import { LOAD_SCHOOLS, STRETCH_SCHOOLS, type LoadSchool, type StretchSchool } from "@kind-grip/core/library";
import { SLOT_KINDS, type SlotKind } from "@kind-grip/core/session";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";

export type Editable = Omit<ComposeLimits, "people" | "settings" | "kit">;

export function Limits({ limits, onChange }: { limits: Editable; onChange(limits: Editable): void }) {
  const words = useWords();
  const set = <K extends keyof Editable>(key: K, value: Editable[K]) => onChange({ ...limits, [key]: value });
  const minutes = (slot: SlotKind) => (
    <Stepper
      key={slot}
      label={`${words.label("slot", slot)}, min`}
      value={limits.slotSec[slot] / 60}
      min={0}
      max={30}
      step={0.5}
      onChange={(min) => set("slotSec", { ...limits.slotSec, [slot]: min * 60 })}
    />
  );
  return (
    <Box component="section" aria-label="Limits" sx={{ display: "grid", gap: 2 }}>
      <Choice
        label="Aim"
        value={limits.aim}
        onChange={(aim) => set("aim", aim)}
        options={[
          { value: "loadLed", label: "Load-led" },
          { value: "reliefLed", label: "Relief-led" },
        ]}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {SLOT_KINDS.map(minutes)}
        <Stepper label="Breaks a day" value={limits.breaksADay} min={1} max={3} onChange={(value) => set("breaksADay", value)} />
        <Stepper label="Post-shift days" value={limits.strengthDays} min={1} max={3} onChange={(value) => set("strengthDays", value)} />
        <Stepper label="Weeks" value={limits.weeks} min={1} max={12} onChange={(value) => set("weeks", value)} />
        <Stepper label="Movements in all" value={limits.mostMovements} min={3} max={24} onChange={(value) => set("mostMovements", value)} />
        <Stepper label="Items a session" value={limits.mostItems} min={2} max={12} onChange={(value) => set("mostItems", value)} />
      </Box>
      <TextField
        select
        label="Stretching"
        value={limits.style.stretch}
        onChange={(event) => set("style", { ...limits.style, stretch: event.target.value as StretchSchool })}
      >
        {STRETCH_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("stretchSchool", school)}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Loading"
        value={limits.style.load}
        onChange={(event) => set("style", { ...limits.style, load: event.target.value as LoadSchool })}
      >
        {LOAD_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("loadSchool", school)}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}
