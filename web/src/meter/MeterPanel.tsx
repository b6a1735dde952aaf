/** Connects a meter, shows that it is there, and sets how the simulated one behaves. */
import { Box, Button, Popover, TextField, Typography } from "@mui/material";
import { Gauge, Unplug } from "lucide-react";
import { useState } from "react";
import { fixedText, massText } from "../base/measures";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";
import { Slide } from "../work/EffortFields";
import { PhoneCheck } from "./PhoneCheck";
import { canBeAngleMeter, type Meter } from "./use-meter";
import { meterApi } from "./api";

const KEPT_ADDRESS = "kind-grip.meter-address";

export function MeterPanel({ meter }: { meter: Meter }) {
  const { data } = meterApi.useMeterQuery();
  const [typed, setTyped] = useState<string | null>(() => localStorage.getItem(KEPT_ADDRESS));
  const [asked, setAsked] = useState<{ at: HTMLElement; on: boolean } | null>(null);
  const address = typed ?? data?.address ?? "";
  const on = meter.state === "on";
  // Asked for to connect, and connected: back to the measuring. A phone is checked first.
  const open = asked !== null && (asked.on || !on || meter.isPhone);
  const setAt = (at: HTMLElement | null) => setAsked(at && { at, on });
  const connect = () => {
    if (typed) localStorage.setItem(KEPT_ADDRESS, typed);
    meter.connect(address);
  };
  return (
    <>
      <Button
        variant={on ? "outlined" : "text"}
        startIcon={<Gauge size={20} />}
        onClick={(event) => setAt(event.currentTarget)}
        aria-haspopup="dialog"
        sx={meter.state === "lost" ? { color: "error.main" } : {}}
      >
        {on
          ? meter.name
          : meter.state === "connecting"
            ? t("Connecting …")
            : meter.state === "lost"
              ? t("Meter lost")
              : t("Connect a meter")}
      </Button>
      <Popover
        open={open}
        anchorEl={asked?.at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
      >
        <Box role="dialog" aria-label={t("Meter")} sx={{ p: 2.5, width: "min(380px, calc(100vw - 32px))", display: "grid", gap: 1.5 }}>
          <Typography variant="h3">{on ? meter.name : t("Grip meter and angle meter")}</Typography>
          {!on && (
            <>
              <TextField
                label={t("Address")}
                value={address}
                onChange={(event) => setTyped(event.target.value)}
                helperText={t("The simulated meter that ships with Kind Grip listens here.")}
              />
              {meter.state === "lost" && (
                <Typography role="alert" sx={{ color: "error.main" }}>
                  {meter.isPhone
                    ? t("This device may not say how it is turned. Allow it to in the browser, or type the figures in.")
                    : t("Nothing answers at this address. What was measured is kept; connect again or type the figures in.")}
                </Typography>
              )}
              <Button variant="contained" onClick={connect} disabled={address === "" || meter.state === "connecting"}>
                {t("Connect")}
              </Button>
              {canBeAngleMeter && (
                <Button variant="outlined" onClick={() => void meter.connectPhone()}>
                  {t("Use this device as the angle meter")}
                </Button>
              )}
            </>
          )}
          {on && meter.isPhone && <PhoneCheck meter={meter} />}
          {on && meter.settings && (
            <>
              <Typography sx={{ color: "text.secondary" }}>{t("Simulated: there is no hand on it. Set how it behaves.")}</Typography>
              <Slide
                label={t("Strength of the hand")}
                told={massText(meter.settings.gripKg)}
                value={meter.settings.gripKg}
                min={4}
                max={70}
                step={1}
                onChange={(gripKg) => meter.set({ gripKg })}
              />
              <Slide
                label={t("Reach of the joint")}
                told={t("{{rangeShare}} % of full", { rangeShare: Math.round(meter.settings.rangeShare * 100) })}
                value={Math.round(meter.settings.rangeShare * 100)}
                min={40}
                max={115}
                step={1}
                onChange={(share) => meter.set({ rangeShare: share / 100 })}
              />
              <Slide
                label={t("Noise")}
                told={`± ${fixedText(meter.settings.noise, 1)}`}
                value={meter.settings.noise}
                min={0}
                max={4}
                step={0.1}
                onChange={(noise) => meter.set({ noise })}
              />
              <Slide
                label={t("Drop-outs")}
                told={t("{{dropOuts}} % of the time", { dropOuts: Math.round(meter.settings.dropOuts * 100) })}
                value={Math.round(meter.settings.dropOuts * 100)}
                min={0}
                max={60}
                step={5}
                onChange={(share) => meter.set({ dropOuts: share / 100 })}
              />
              <Toggle
                label={t("Next squeeze half-hearted")}
                pressed={meter.settings.weakTrial}
                onChange={(weakTrial) => meter.set({ weakTrial })}
              />
            </>
          )}
          {on && (
            <Button startIcon={<Unplug size={18} />} onClick={meter.disconnect}>
              {t("Disconnect")}
            </Button>
          )}
        </Box>
      </Popover>
    </>
  );
}
