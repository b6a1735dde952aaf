/** Stop and tell: what, where, and one thing more where it matters. It pauses at once, on this phone and everywhere. */
import { Alert, Box, Button, ButtonBase, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Region } from "@kind-grip/core/library";
import { ASKED_AT_ONCE, REPORT_KINDS, type ReportKind } from "@kind-grip/core/safety";
import { useWords } from "../base/library";
import { v7 as uuid } from "uuid";
import { Choice } from "../parts/Choice";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { Places } from "./Places";
import { Told } from "./Told";
import { practiceTime } from "./use-phone";
import { YesNo } from "./YesNo";

type Side = "left" | "right";

export default function TellPage() {
  const words = useWords();
  const phone = useDay();
  const [search] = useSearchParams();
  const [kind, setKind] = useState<ReportKind | null>(null);
  const [side, setSide] = useState<Side | null>(null);
  const [regions, setRegions] = useState<Region[]>([]);
  const [stillThere, setStillThere] = useState<boolean | null>(null);
  const [freshInjury, setFreshInjury] = useState<boolean | null>(null);
  const [own, setOwn] = useState("");
  // Pressed twice it is one report.
  const [id] = useState(() => uuid());
  const [sent, setSent] = useState(false);
  const asked = kind ? ASKED_AT_ONCE[kind] : [];
  const open = (asked.includes("stillThere") && stillThere === null) || (asked.includes("freshInjury") && freshInjury === null);
  const send = async () => {
    await putAway({
      kind: "symptom-reports",
      body: {
        id,
        at: new Date(practiceTime(phone)).toISOString(),
        kind: kind!,
        movementId: search.get("movement"),
        words: own.trim() || null,
        side,
        regions,
        stillThere: asked.includes("stillThere") ? stillThere : null,
        freshInjury: asked.includes("freshInjury") ? freshInjury : null,
      },
    });
    setSent(true);
  };
  if (sent) return <Told causeId={id} />;
  return (
    <>
      <PhoneTitle title={words.member("tellTitle")} />
      <Alert severity="error" variant="outlined" sx={{ mb: 2.5, fontSize: "1.05rem" }}>
        {words.member("emergency")}
      </Alert>
      <Box role="group" aria-label={words.member("tellTitle")} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1, mb: 2.5 }}>
        {REPORT_KINDS.map((each) => (
          <ButtonBase
            key={each}
            aria-pressed={kind === each}
            onClick={() => setKind(each)}
            sx={{
              minHeight: 60,
              px: 1,
              borderRadius: 2,
              border: "2px solid",
              fontSize: "1.1rem",
              fontWeight: 700,
              ...(kind === each
                ? { bgcolor: "text.primary", color: "background.paper", borderColor: "text.primary" }
                : { bgcolor: "background.paper", borderColor: "line" }),
            }}
          >
            {words.member(`reportKind.${each}`)}
          </ButtonBase>
        ))}
      </Box>
      {kind !== null && (
        <>
          {asked.includes("stillThere") && <YesNo question={words.member("stillThere")} value={stillThere} onChange={setStillThere} />}
          {asked.includes("freshInjury") && <YesNo question={words.member("freshInjury")} value={freshInjury} onChange={setFreshInjury} />}
          <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{words.member("whereIsIt")}</Typography>
          <Box sx={{ mb: 1 }}>
            <Choice<Side>
              label={words.member("whereIsIt")}
              value={side}
              onChange={setSide}
              options={[
                { value: "left", label: words.label("side", "left") },
                { value: "right", label: words.label("side", "right") },
              ]}
            />
          </Box>
          <Box sx={{ mb: 2.5 }}>
            <Places label={words.member("where")} value={regions} onChange={setRegions} />
          </Box>
          <TextField
            label={words.member("tellWords")}
            multiline
            minRows={2}
            value={own}
            onChange={(event) => setOwn(event.target.value.slice(0, 600))}
          />
        </>
      )}
      <Button
        variant="contained"
        color="error"
        fullWidth
        disabled={kind === null || open}
        onClick={() => void send()}
        sx={{ mt: 2.5, minHeight: 60, fontSize: "1.2rem" }}
      >
        {words.member("tellSend")}
      </Button>
      <Button component={Link} to="/me" fullWidth sx={{ mt: 1 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
