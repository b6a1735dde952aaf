/** What a round shows of each person: range fans, grip to scale, findings in plain words, need with its working; compared with any other round. */
import { Box, Button, ButtonBase, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { findingsOf, isEmpty, needFindings } from "@kind-grip/core/baseline";
import { regionNeeds } from "@kind-grip/core/need";
import { dayOf, EMPTY_WORK } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { mainHandOf } from "../crew/main-hand";
import { useParticipations } from "../safety/use-participations";
import { useWorkDone } from "../work/api";
import { baselineApi } from "./api";
import { Empty } from "../parts/Empty";
import { PageTitle } from "../parts/PageTitle";
import { Needs } from "../work/NeedBars";
import { Words, Fans, Grip, Changes } from "./FindingParts";
import { useNoise } from "./use-noise";
import { RoundRecords, type RoundRead } from "./RoundRecords";

export default function FindingsPage() {
  return <RoundRecords>{(read) => <Findings key={read.roundId} {...read} />}</RoundRecords>;
}

function Findings({ crew, rounds, roundId, people, entries }: RoundRead) {
  const round = rounds.find(({ id }) => id === roundId);
  const [search, setSearch] = useSearchParams();
  const earlier = rounds[rounds.findIndex(({ id }) => id === roundId) + 1];
  const [otherId, setOtherId] = useState(earlier?.id ?? "");
  const { currentData: others, error: unread } = baselineApi.useRecordsQuery(otherId, { skip: otherId === "" });
  const other = rounds.find(({ id }) => id === otherId);
  const noise = useNoise();
  const work = useWorkDone(crew.id) ?? EMPTY_WORK;
  const may = useParticipations(crew.id);
  const asked = people.filter(({ id }) => entries.some((each) => each.personId === id && !isEmpty(each.record)));
  const countOf = (personId: string) =>
    findingsOf(entries.find((each) => each.personId === personId)!.record, mainHandOf(people, personId), noise).filter(
      ({ kind }) => kind !== "noise",
    ).length;
  // Whoever most stands out is shown first.
  const person = asked.find(({ id }) => id === search.get("person")) ?? [...asked].sort((a, b) => countOf(b.id) - countOf(a.id))[0];
  if (!round || !person)
    return (
      <>
        <PageTitle title={t("Findings")} />
        <Empty title={t("Nothing measured yet")} text={t("Findings appear as soon as something of a person is entered in the round.")} />
      </>
    );
  const record = entries.find((each) => each.personId === person.id)!.record;
  const found = others?.find((each) => each.personId === person.id)?.record;
  const before = found && !isEmpty(found) ? found : undefined;
  const findings = findingsOf(record, person.handedness, noise);
  return (
    <>
      <PageTitle
        title={person.name}
        lead={t("{{name}}. Range against the reference and the other side, grip, and what is only noise.", { name: round.name })}
      >
        {earlier && (
          <Button component={Link} to={`/crews/${crew.id}/baseline/${roundId}/crew`} variant="outlined">
            {t("The crew, before and after")}
          </Button>
        )}
        {rounds.length > 1 && (
          <TextField
            select
            label={t("Compared with")}
            value={otherId}
            onChange={(event) => setOtherId(event.target.value)}
            sx={{ width: 240 }}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          >
            <MenuItem value="">{t("nothing")}</MenuItem>
            {rounds
              .filter(({ id }) => id !== roundId)
              .map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
          </TextField>
        )}
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "200px minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 2,
          alignItems: "start",
        }}
      >
        <Box
          component="ul"
          aria-label={t("People with findings")}
          sx={{ listStyle: "none", m: 0, p: 0, "@media print": { display: "none" } }}
        >
          {asked.map(({ id, name }) => {
            const count = countOf(id);
            return (
              <li key={id}>
                <ButtonBase
                  onClick={() => setSearch({ person: id }, { replace: true })}
                  aria-current={id === person.id}
                  sx={{
                    width: "100%",
                    justifyContent: "space-between",
                    textAlign: "left",
                    gap: 1,
                    px: 1,
                    minHeight: 46,
                    borderRadius: 2,
                    lineHeight: 1.15,
                    fontWeight: id === person.id ? 750 : 500,
                    bgcolor: id === person.id ? "primary.light" : "transparent",
                  }}
                >
                  {name}
                  {may.get(id)?.heldOut ? (
                    <Box component="span" sx={{ fontWeight: 750, color: "error.main", whiteSpace: "nowrap" }}>
                      {t("held out")}
                    </Box>
                  ) : (
                    <Box
                      component="span"
                      aria-label={t("{{count}} findings", { count, defaultValue_one: "{{count}} finding" })}
                      sx={{ fontWeight: 750, color: count > 0 ? "warm.dark" : "text.secondary" }}
                    >
                      {count}
                    </Box>
                  )}
                </ButtonBase>
              </li>
            );
          })}
        </Box>
        <Box sx={{ minWidth: 0, display: "grid", gap: 4 }}>
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" },
              columnGap: 5,
              rowGap: 3,
              alignItems: "start",
            }}
          >
            <Box sx={{ display: "grid", gap: 3 }}>
              <Words findings={findings} />
              <Grip record={record} before={before} mainHand={person.handedness} />
              {before && <Changes before={before} after={record} />}
              {other && unread && (
                <Typography role="alert" sx={{ color: "error.main" }}>
                  {t("{{round}} could not be read: nothing is compared.", { round: other.name })}
                </Typography>
              )}
              {other && others && !before && (
                <Typography sx={{ color: "text.secondary" }}>
                  {t("Not measured in {{round}}: there is nothing to compare with.", { round: other.name })}
                </Typography>
              )}
            </Box>
            <Fans record={record} before={before} />
          </Box>
          <Box component="section" aria-label={t("What it asks for")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
            <Typography variant="h2" sx={{ mb: 2 }}>
              {t("What work and findings ask for")}
            </Typography>
            <Needs needs={regionNeeds(work, dayOf(work, person.id), needFindings(findings))} work={work} />
          </Box>
        </Box>
      </Box>
    </>
  );
}
