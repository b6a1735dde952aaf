/** Stop and tell: what it is with one tap; it stands on the trainer's Today. */
import { Alert, Box, Button, ButtonBase, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { wordsIn } from "@kind-grip/core/language";
import { TELL_KINDS, type TellKind } from "@kind-grip/core/response";
import { v7 as uuid } from "uuid";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { practiceTime } from "./use-phone";

export default function TellPage() {
  const words = wordsIn();
  const phone = useDay();
  const [search] = useSearchParams();
  const [kind, setKind] = useState<TellKind | null>(null);
  const [own, setOwn] = useState("");
  const [sent, setSent] = useState(false);
  const send = async () => {
    const at = new Date(practiceTime(phone)).toISOString();
    await putAway({ kind: "tells", body: { id: uuid(), at, kind: kind!, movementId: search.get("movement"), words: own.trim() || null } });
    setSent(true);
  };
  return (
    <>
      <PhoneTitle title={words.member("tellTitle")} />
      <Alert severity="error" variant="outlined" sx={{ mb: 2.5, fontSize: "1.05rem" }}>
        {words.member("emergency")}
      </Alert>
      {sent ? (
        <Typography variant="h2" component="p" role="status" sx={{ mb: 3 }}>
          {words.member("tellSent")}
        </Typography>
      ) : (
        <>
          <Box role="group" aria-label={words.member("tellTitle")} sx={{ display: "grid", gap: 1, mb: 2.5 }}>
            {TELL_KINDS.map((each) => (
              <ButtonBase
                key={each}
                aria-pressed={kind === each}
                onClick={() => setKind(each)}
                sx={{
                  minHeight: 60,
                  borderRadius: 2,
                  border: "2px solid",
                  fontSize: "1.2rem",
                  fontWeight: 700,
                  ...(kind === each
                    ? { bgcolor: "text.primary", color: "background.paper", borderColor: "text.primary" }
                    : { bgcolor: "background.paper", borderColor: "line" }),
                }}
              >
                {words.member(`tellKind.${each}`)}
              </ButtonBase>
            ))}
          </Box>
          <TextField
            label={words.member("tellWords")}
            multiline
            minRows={2}
            value={own}
            onChange={(event) => setOwn(event.target.value.slice(0, 600))}
          />
          <Button
            variant="contained"
            color="error"
            fullWidth
            disabled={kind === null}
            onClick={() => void send()}
            sx={{ mt: 2.5, minHeight: 60, fontSize: "1.2rem" }}
          >
            {words.member("tellSend")}
          </Button>
        </>
      )}
      <Button component={Link} to="/me" fullWidth sx={{ mt: 1 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
