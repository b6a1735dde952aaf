/** Everything that is kept of somebody, on their own phone: what there is of it, and a file with all of it. */
import { Box, Button, Typography } from "@mui/material";
import { Download } from "lucide-react";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { PhoneTitle } from "./PhoneFrame";

export default function KeptPage() {
  const words = useWords();
  const { data, error } = memberApi.useKeptOfMeQuery();
  return (
    <>
      <PhoneTitle title={words.member("keptTitle")} lead={words.member("keptWhy")} />
      {error !== undefined && <Typography role="alert">{words.member("keptAway")}</Typography>}
      {data && data.length === 0 && <Typography>{words.member("keptNothing")}</Typography>}
      {data && data.length > 0 && (
        <Box component="ul" aria-label={words.member("keptTitle")} sx={{ listStyle: "none", m: 0, p: 0 }}>
          {data.map(({ kind, count, from, until }) => (
            <Box
              component="li"
              key={kind}
              sx={{ display: "flex", gap: 2, alignItems: "baseline", borderTop: "1px solid", borderColor: "line", py: 1.25 }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Typography sx={{ fontWeight: 650 }}>{words.member(`keptKind.${kind}`)}</Typography>
                {from !== null && (
                  <Typography sx={{ color: "text.secondary" }}>
                    {from === until
                      ? words.dayName(from)
                      : words.member("keptFromTo", { from: words.dayName(from), until: words.dayName(until!) })}
                  </Typography>
                )}
              </Box>
              <Typography sx={{ fontSize: "1.35rem", fontWeight: 700 }}>{words.digits(count)}</Typography>
            </Box>
          ))}
        </Box>
      )}
      {data && (
        <Button
          component="a"
          href="/api/member/everything.json"
          download
          variant="contained"
          fullWidth
          size="large"
          startIcon={<Download size={22} aria-hidden />}
          sx={{ mt: 3 }}
        >
          {words.member("keptFile")}
        </Button>
      )}
      <Typography sx={{ color: "text.secondary", mt: 3 }}>{words.member("keptForget")}</Typography>
    </>
  );
}
