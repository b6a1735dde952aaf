/** One restriction of a person: why, since when, what it keeps them from, its clearances, and what can be done about it. */
import { Box, Button, Typography } from "@mui/material";
import { Ban, BadgeCheck, FileText, TriangleAlert } from "lucide-react";
import { DateTime } from "luxon";
import type { ClearanceEntry, RestrictionEntry } from "@kind-grip/core/api";
import { consequenceOf, endsSoon, isMeant } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useLibrary, useWords } from "../base/library";
import type { RestrictionState } from "./restriction-state";

/** What a row may ask of its page. */
export type AskedOfRow = { kind: "clear" | "mistake"; restriction: RestrictionEntry } | { kind: "withdraw"; clearance: ClearanceEntry };

const day = (date: string) => dateText(DateTime.fromISO(date), "d LLL yyyy");

export function RestrictionRow({
  state: { restriction, state, clearances, past, lifted },
  name,
  today,
  timeZone,
  onAsk,
}: {
  state: RestrictionState;
  name: string;
  today: string;
  timeZone: string;
  onAsk(asked: AskedOfRow): void;
}) {
  const library = useLibrary();
  const words = useWords();
  const question = consequenceOf(restriction.question);
  const Icon = state === "out" ? Ban : state === "cleared" || state === "over" ? BadgeCheck : TriangleAlert;
  const count = question.kind === "ask" ? library.movements.filter((movement) => isMeant(question.outOf, movement)).length : 0;
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "34px 1fr", md: "34px 220px minmax(0, 1fr) auto" },
        columnGap: 1.5,
        rowGap: 0.5,
        alignItems: "start",
        py: 1.5,
        borderTop: "1px solid",
        borderColor: "line",
      }}
    >
      <Box sx={{ color: state === "out" ? "error.main" : state === "partly" ? "warm.dark" : "primary.main", pt: 0.25 }}>
        <Icon size={24} aria-hidden />
      </Box>
      <Typography sx={{ fontWeight: 750, fontSize: "1.1rem" }}>{name}</Typography>
      <Box sx={{ minWidth: 0 }}>
        <Typography>
          <strong>{restriction.words ?? words.safety(restriction.question).short}</strong>
          {t(", since {{date}}", { date: dateText(DateTime.fromISO(restriction.since, { zone: timeZone }), "d LLL yyyy HH:mm") })}
        </Typography>
        {question.kind === "stop" && question.emergency && state === "out" && (
          <Typography sx={{ color: "error.main", fontWeight: 700 }}>{words.referral("emergency")}</Typography>
        )}
        {question.kind === "ask" && state === "partly" && (
          <Typography sx={{ color: "text.secondary" }}>
            {t("Out of {{number}} of {{movements}} movements until a clinician was asked.", {
              number: count,
              movements: library.movements.length,
            })}
          </Typography>
        )}
        {question.kind === "limit" && state === "partly" && (
          <Typography sx={{ color: "text.secondary" }}>
            {t("End-range holds stop {{shortOfEndDeg}}° before the end.", { shortOfEndDeg: question.shortOfEndDeg })}
          </Typography>
        )}
        {lifted.length > 0 && state === "partly" && (
          <Typography>
            {t("Cleared for {{lifted}} only.", { lifted: lifted.map((phase) => words.label("phase", phase).toLowerCase()).join(", ") })}
          </Typography>
        )}
        {clearances.map((clearance) => (
          <Box key={clearance.id} sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
            <Typography>
              {t("By {{givenBy}}, {{profession}}, {{fromDay}} to", {
                givenBy: clearance.givenBy,
                profession: clearance.profession.toLowerCase(),
                fromDay: day(clearance.fromDay),
              })}{" "}
              <Box component="strong" sx={endsSoon(clearance.untilDay, today) ? { color: "warm.dark" } : {}}>
                {day(clearance.untilDay)}
                {endsSoon(clearance.untilDay, today) && t(", ends this week")}
              </Box>
              {clearance.note && `. ${clearance.note}`}
            </Typography>
            <Button size="small" onClick={() => onAsk({ kind: "withdraw", clearance })}>
              {t("Withdraw")}
            </Button>
          </Box>
        ))}
        {past.map((clearance) => (
          <Typography key={clearance.id} sx={{ color: "text.secondary" }}>
            {clearance.withdrawnAt
              ? t("Clearance by {{givenBy}} withdrawn: {{withdrawnWhy}}", {
                  givenBy: clearance.givenBy,
                  withdrawnWhy: clearance.withdrawnWhy ?? "",
                })
              : clearance.fromDay > today
                ? t("Clearance by {{givenBy}} begins {{fromDay}}", { givenBy: clearance.givenBy, fromDay: day(clearance.fromDay) })
                : t("Clearance by {{givenBy}} ran out on {{untilDay}}", { givenBy: clearance.givenBy, untilDay: day(clearance.untilDay) })}
          </Typography>
        ))}
        {restriction.withdrawnWhy && <Typography sx={{ color: "text.secondary" }}>{restriction.withdrawnWhy}</Typography>}
      </Box>
      {state !== "over" && (
        <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap", gridColumn: { xs: 2, md: "auto" } }}>
          {state !== "cleared" && (
            <Button
              variant={state === "out" ? "contained" : "outlined"}
              onClick={() => onAsk({ kind: "clear", restriction })}
              aria-label={t("Enter a clearance for {{name}}", { name })}
            >
              {t("Clearance")}
            </Button>
          )}
          <Button
            component="a"
            href={`/api/restrictions/${restriction.id}/referral.pdf`}
            startIcon={<FileText size={18} />}
            aria-label={t("Referral note for {{name}}", { name })}
          >
            {t("Referral note")}
          </Button>
          <Button onClick={() => onAsk({ kind: "mistake", restriction })} aria-label={t("Hold of {{name}} entered by mistake", { name })}>
            {t("Mistake")}
          </Button>
        </Box>
      )}
    </Box>
  );
}
