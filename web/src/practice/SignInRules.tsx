/** What the practice asks of every trainer's sign-in, who signed in, and whether the trail is as it was sealed. */
import { Box, Button, Typography } from "@mui/material";
import { BadgeCheck, Download, TriangleAlert } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import type { TrailState } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { Pages } from "../parts/Pages";
import { FileButton } from "../job/FileButton";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";
import { practiceApi } from "./api";

export function SignInRules() {
  const rule = practiceApi.useSignInRuleQuery();
  const [change, { error }] = practiceApi.useChangeSignInRuleMutation();
  return (
    <Box component="section" aria-label={t("Sign-ins")} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("Sign-ins")}</Typography>
      <Loaded query={rule}>
        {({ asksSecondStep }) => (
          <Box>
            <Toggle
              label={t("Ask every trainer for a second step or a passkey")}
              pressed={asksSecondStep}
              onChange={(on) => void change(on)}
            />
          </Box>
        )}
      </Loaded>
      {error !== undefined && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf(error).message}
        </Typography>
      )}
      <SignInTrail />
    </Box>
  );
}

const moment = (iso: string) => dateText(DateTime.fromISO(iso), "d LLL HH:mm");
const SHOWN_FIRST = 8;

function SignInTrail() {
  const [page, setPage] = useState(0);
  const [all, setAll] = useState(false);
  const { data } = practiceApi.useSignInTrailQuery(page, { refetchOnMountOrArgChange: true });
  const seals = practiceApi.useTrailStateQuery(undefined, { refetchOnMountOrArgChange: true }).data;
  if (!data) return null;
  const pages = Math.ceil(data.total / data.pageSize);
  const entries = all ? data.entries : data.entries.slice(0, SHOWN_FIRST);
  return (
    <>
      <Box component="ul" aria-label={t("Who signed in")} sx={{ listStyle: "none", m: 0, p: 0 }}>
        {entries.map(({ id, at, by, what }) => (
          <Box
            component="li"
            key={id}
            sx={{ display: "grid", gridTemplateColumns: "120px 1fr", columnGap: 2, py: 0.5, borderTop: "1px solid", borderColor: "line" }}
          >
            <Typography sx={{ color: "text.secondary" }}>{moment(at)}</Typography>
            <Typography>
              <strong>{by}</strong> {what}
            </Typography>
          </Box>
        ))}
      </Box>
      {!all && data.total > SHOWN_FIRST && (
        <Box>
          <Button onClick={() => setAll(true)}>{t("Show all {{count}}", { count: data.total })}</Button>
        </Box>
      )}
      {all && <Pages page={page} pages={pages} onChange={setPage} />}
      {seals && <Seals seals={seals} />}
    </>
  );
}

function Seals({ seals: { segments, sealed, open, lastHash, broken } }: { seals: TrailState }) {
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <Typography
        sx={{ display: "flex", alignItems: "center", gap: 1, fontWeight: 650, color: broken === null ? "text.primary" : "error.main" }}
      >
        {broken === null ? <BadgeCheck size={20} aria-hidden /> : <TriangleAlert size={20} aria-hidden />}
        {broken === null
          ? t("The trail is as it was written: {{sealed}} entries in {{count}} seals, {{open}} not sealed yet.", {
              sealed,
              count: segments,
              open,
              defaultValue_one: "The trail is as it was written: {{sealed}} entries in {{count}} seal, {{open}} not sealed yet.",
            })
          : t("The trail was changed: seal {{number}} of {{segments}} does not hold any more.", { number: broken, segments })}
      </Typography>
      {lastHash !== null && (
        <Typography sx={{ color: "text.secondary", overflowWrap: "anywhere", fontSize: "0.9rem" }}>
          {t("Last seal: {{hash}}", { hash: lastHash })}
        </Typography>
      )}
      <Box>
        <FileButton wanted={{ kind: "trailExport" }} what={t("The whole trail (JSON)")} startIcon={<Download size={20} />}>
          {t("The whole trail (JSON)")}
        </FileButton>
      </Box>
    </Box>
  );
}
