/** A round against an earlier one for the whole crew: every person a line, dark where the change is beyond noise. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import type { PersonEntry, RecordEntry } from "@kind-grip/core/api";
import { crewChanges, isEmpty } from "@kind-grip/core/baseline";
import { t } from "../base/words";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { baselineApi } from "./api";
import { ChangePanel } from "./ChangePanel";
import { HeldAgainst } from "./HeldAgainst";
import { useNoise } from "./use-noise";
import { RoundRecords, type RoundRead } from "./RoundRecords";

export default function CrewChangesPage() {
  return <RoundRecords>{(read) => <Compared key={read.roundId} {...read} />}</RoundRecords>;
}

function Compared({ crew, rounds, roundId, people, entries }: RoundRead) {
  const at = rounds.findIndex(({ id }) => id === roundId);
  const round = rounds[at];
  // Rounds are listed newest first: held against the very first, the baseline.
  const earlier = rounds.slice(at + 1);
  const [otherId, setOtherId] = useState(earlier.at(-1)?.id ?? "");
  const others = baselineApi.useRecordsQuery(otherId, { skip: otherId === "" });
  const other = rounds.find(({ id }) => id === otherId);
  if (!round || !other)
    return (
      <>
        <PageTitle title={t("The crew, before and after")} />
        <Empty
          title={t("There is no earlier round")}
          text={t("A second round is held against the first: who changed beyond what measuring alone does.")}
        >
          <Button component={Link} to={`/crews/${crew.id}/baseline/${roundId}`} variant="outlined">
            {t("To the round")}
          </Button>
        </Empty>
      </>
    );
  return (
    <>
      <PageTitle
        title={t("The crew, before and after")}
        lead={t("{{after}} against {{before}}. Each line is a person; dark is beyond what measuring alone does.", {
          after: round.name,
          before: other.name,
        })}
      >
        {earlier.length > 1 && (
          <TextField
            select
            label={t("Compared with")}
            value={otherId}
            onChange={(event) => setOtherId(event.target.value)}
            sx={{ width: 240, "@media print": { display: "none" } }}
          >
            {earlier.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </PageTitle>
      <Loaded query={others}>{(before) => <Panels people={people} before={before} after={entries} />}</Loaded>
    </>
  );
}

function Panels({ people, before, after }: { people: PersonEntry[]; before: RecordEntry[]; after: RecordEntry[] }) {
  const pairs = after.flatMap(({ personId, record }) => {
    const earlier = before.find((each) => each.personId === personId)?.record;
    return earlier && !isEmpty(earlier) && !isEmpty(record) ? [{ personId, before: earlier, after: record }] : [];
  });
  const changes = crewChanges(pairs, useNoise());
  if (changes.length === 0)
    return (
      <Empty
        title={t("Nobody is measured in both")}
        text={t("Whoever is measured in both rounds is drawn here as a line from one to the other.")}
      />
    );
  const nameOf = (personId: string) => people.find(({ id }) => id === personId)?.name ?? t("left the crew");
  const measures = [...new Set(changes.map(({ measure }) => measure))];
  const sumOf = (verdict: "better" | "worse") => changes.reduce((sum, change) => sum + change[verdict], 0);
  const [better, worse] = [sumOf("better"), sumOf("worse")] as const;
  const all = changes.reduce((sum, { people: measured }) => sum + measured.length, 0);
  return (
    <>
      <Typography sx={{ fontSize: "1.2rem", mb: 2.5 }}>
        <strong>
          {better === 0 && worse === 0
            ? t("Nothing changed beyond noise.")
            : t("Better beyond noise: {{better}}. Worse: {{worse}}.", { better, worse })}
        </strong>{" "}
        {t("Within it: {{noise}}. People measured both times: {{people}}.", { noise: all - better - worse, people: pairs.length })}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "repeat(2, minmax(0, 1fr))", lg: "repeat(3, minmax(0, 1fr))" },
          columnGap: 4,
          rowGap: 4,
          "@media print": { gridTemplateColumns: "repeat(2, minmax(0, 1fr))", rowGap: 2 },
        }}
      >
        {measures.map((measure) => (
          <ChangePanel key={measure} measure={measure} changes={changes.filter((each) => each.measure === measure)} nameOf={nameOf} />
        ))}
      </Box>
      <HeldAgainst />
    </>
  );
}
