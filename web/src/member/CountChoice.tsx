/** Whether a session followed alone is counted with the phone in the hand; on a screen without a sensor, with the meter that ships. */
import { Box, Typography } from "@mui/material";
import { uniq } from "es-toolkit";
import type { Timeline } from "@kind-grip/core/session";
import { useWords } from "../base/library";
import { meterApi } from "../meter/api";
import { countedTurn, type Counting } from "../meter/use-counter";
import { canBeAngleMeter, type Meter } from "../meter/use-meter";
import { Toggle } from "../parts/Toggle";

interface CountChoiceProps {
  timeline: Timeline;
  meter: Meter;
  turnOf: Counting["turnOf"];
  /** Without how it is held: in a pause there is little room. */
  brief?: boolean;
}

export function CountChoice({ timeline, meter, turnOf, brief = false }: CountChoiceProps) {
  const words = useWords();
  const { data } = meterApi.useMeterQuery(undefined, { skip: canBeAngleMeter });
  const counted = uniq(timeline.segments.filter((segment) => countedTurn(segment, turnOf)).map(({ movementId }) => movementId));
  const address = data?.address;
  if (counted.length === 0 || (!canBeAngleMeter && !address)) return null;
  const isOn = meter.state === "on" || meter.state === "connecting";
  const set = (on: boolean) => {
    if (!on) meter.disconnect();
    else if (canBeAngleMeter) void meter.connectPhone();
    else meter.connect(address!);
  };
  return (
    <Box sx={{ display: "grid", gap: 0.5, justifyItems: "start" }}>
      <Toggle label={words.member(canBeAngleMeter ? "countWith" : "countWithMeter")} pressed={isOn} onChange={set} />
      {isOn && !brief && (
        <Typography sx={{ color: "text.secondary" }}>
          {words.member("countHow", { movements: words.list(counted.map((movementId) => words.movementName(movementId))) })}
        </Typography>
      )}
      {meter.state === "lost" && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {words.member(canBeAngleMeter ? "countRefused" : "countLost")}
        </Typography>
      )}
    </Box>
  );
}
