/** Asks to remind somebody on the phone in their hand, as far as it can; where it cannot it says why and what to do. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { browserAndSystem } from "../base/device-name";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { Away } from "./Away";
import { beginPush, pushAbility } from "./push";

const REASON = { insecure: "contactPushInsecure", install: "contactPushInstall", blocked: "contactPushBlocked" } as const;

export function AskForPhone({ serverKey, onDone }: { serverKey: string; onDone(): void }) {
  const words = useWords();
  const [give, { isLoading, error }] = memberApi.useGiveOwnContactMutation();
  const [ability, setAbility] = useState(pushAbility);
  const [isAsking, setIsAsking] = useState(false);
  const [failed, setFailed] = useState(false);
  const agree = async () => {
    setIsAsking(true);
    setFailed(false);
    try {
      const address = await beginPush(serverKey);
      if (!address) return setAbility(pushAbility());
      const device = browserAndSystem(navigator.userAgent) || words.member("contactPush");
      const { error: refused } = await give({ way: "push", device, address });
      if (!refused) onDone();
    } catch {
      setFailed(true);
    } finally {
      setIsAsking(false);
    }
  };
  return (
    <Box sx={{ borderTop: "1px solid", borderColor: "line", py: 1.5 }}>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
        <Box sx={{ flex: "1 1 220px" }}>
          <Typography sx={{ fontWeight: 650 }}>{words.member("contactPush")}</Typography>
          <Typography sx={{ color: "text.secondary" }}>{words.member(ability === "ready" ? "contactPushWhy" : REASON[ability])}</Typography>
        </Box>
        {ability === "ready" && (
          <Button variant="outlined" size="large" disabled={isAsking || isLoading} onClick={() => void agree()}>
            {words.member("contactPushAgree")}
          </Button>
        )}
      </Box>
      {failed && (
        <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
          {words.member("contactPushFailed")}
        </Typography>
      )}
      {error && <Away />}
    </Box>
  );
}
