/** What a proposal has to keep to, as steppers and choices. */
import { Box } from "@mui/material";
import { type ComposeLimits } from "@kind-grip/core/compose";
import { SLOT_KINDS, type SlotKind } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { StyleFields } from "../library/StyleFields";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";

export type Editable = Omit<ComposeLimits, "people" | "settings" | "kit">;

export function Limits({ limits, onChange }: { limits: Editable; onChange(limits: Editable): void }) {
  const words = useWords();
  const set = <K extends keyof Editable>(key: K, value: Editable[K]) => onChange({ ...limits, [key]: value });
  const minutes = (slot: SlotKind) => (
    <Stepper
      key={slot}
      label={t("{{word}}, min", { word: words.label("slot", slot) })}
      value={limits.slotSec[slot] / 60}
      min={0}
      max={30}
      step={0.5}
      onChange={(min) => set("slotSec", { ...limits.slotSec, [slot]: min * 60 })}
    />
  );
  return (
    <Box component="section" aria-label={t("Limits")} sx={{ display: "grid", gap: 2 }}>
      <Choice
        label={t("Aim")}
        value={limits.aim}
        onChange={(aim) => set("aim", aim)}
        options={[
          { value: "loadLed", label: t("Load-led") },
          { value: "reliefLed", label: t("Relief-led") },
        ]}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {SLOT_KINDS.map(minutes)}
        <Stepper label={t("Breaks a day")} value={limits.breaksADay} min={1} max={3} onChange={(value) => set("breaksADay", value)} />
        <Stepper
          label={t("Post-shift days")}
          value={limits.strengthDays}
          min={1}
          max={3}
          onChange={(value) => set("strengthDays", value)}
        />
        <Stepper label={t("Weeks")} value={limits.weeks} min={1} max={12} onChange={(value) => set("weeks", value)} />
        <Stepper
          label={t("Movements in all")}
          value={limits.mostMovements}
          min={3}
          max={24}
          onChange={(value) => set("mostMovements", value)}
        />
        <Stepper label={t("Items a session")} value={limits.mostItems} min={2} max={12} onChange={(value) => set("mostItems", value)} />
      </Box>
      <StyleFields style={limits.style} onChange={(style) => set("style", style)} />
    </Box>
  );
}
