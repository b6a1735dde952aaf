/** Where the work, and what was measured, ask for attention: on the hands, in figures, with the working; and what would be the opposite. */
import { Box, Link as TextLink, MenuItem, TextField, Typography } from "@mui/material";
import { Fragment, useState } from "react";
import { Link } from "react-router";
import { findingsOf, needFindings } from "@kind-grip/core/baseline";
import { cardsFor, LEAST_POSTURE_MIN, oppositesFor, regionNeeds } from "@kind-grip/core/need";
import { averageDay, dayOf, type Work, type WorkDay } from "@kind-grip/core/strain";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { useOffered } from "../library/use-offered";
import { useWords } from "../base/library";
import { mainHandOf } from "../crew/main-hand";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { crewApi } from "../crew/api";
import { baselineApi } from "../baseline/api";
import { useNoise } from "../baseline/use-noise";
import { MovementThumb } from "../figure/MovementThumb";
import { CoachingCardList } from "../library/CoachingCards";
import { Loaded } from "../parts/Loaded";
import { SideMark } from "../parts/SideMark";
import { Needs } from "./NeedBars";

/** More than these are named, not drawn. */
const PICTURED = 6;

export function NeedView({ work, crew, people }: { work: Work; crew: CrewEntry; people: PersonEntry[] }) {
  const [personId, setPersonId] = useState("");
  // Of nobody in particular what it comes to a person, where not everybody works the same.
  const day = personId
    ? dayOf(work, personId)
    : averageDay(
        work,
        people.map(({ id }) => id),
      );
  return (
    <Box sx={{ display: "grid", gap: 4 }}>
      <TextField
        select
        label={t("Whose")}
        value={personId}
        onChange={(event) => setPersonId(event.target.value)}
        sx={{ width: 300 }}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      >
        <MenuItem value="">{t("the work alone")}</MenuItem>
        {people.map((person) => (
          <MenuItem key={person.id} value={person.id}>
            {person.name}
          </MenuItem>
        ))}
      </TextField>
      {personId ? (
        <OfPerson key={personId} work={work} crew={crew} personId={personId} />
      ) : (
        <Needs needs={regionNeeds(work, day)} work={work} />
      )}
      {day && <Opposites work={work} crew={crew} day={day} cardWays={personId ? [day] : work.days} />}
    </Box>
  );
}

/** The work of one person together with what was last found in them. */
function OfPerson({ work, crew, personId }: { work: Work; crew: CrewEntry; personId: string }) {
  const records = baselineApi.useKnownRecordsQuery(crew.id, { refetchOnMountOrArgChange: true });
  const noise = useNoise();
  const { data: people } = crewApi.usePeopleQuery(crew.id);
  return (
    <Loaded query={records}>
      {(list) => {
        const known = list.find((each) => each.personId === personId);
        const findings = known ? needFindings(findingsOf(known.record, mainHandOf(people ?? [], personId), noise)) : [];
        return (
          <>
            <Typography sx={{ color: "text.secondary" }}>
              {known
                ? t("With what their rounds found, the newest of {{date}}.", { date: wholeDayText(known.measuredOn) })
                : t("Nothing measured of them yet: this is the work alone.")}
            </Typography>
            <Needs needs={regionNeeds(work, dayOf(work, personId), findings)} work={work} />
          </>
        );
      }}
    </Loaded>
  );
}

interface OppositesProps {
  work: Work;
  crew: CrewEntry;
  day: WorkDay;
  /** Whose advice is shown. */
  cardWays: readonly WorkDay[];
}

function Opposites({ work, crew, day, cardWays }: OppositesProps) {
  const words = useWords();
  const offered = useOffered();
  const place = { settings: crew.settings, kit: crew.kit.map(({ kind }) => kind) };
  const opposites = oppositesFor(work, day, place, offered);
  const cards = cardsFor(work, cardWays);
  return (
    <>
      {opposites.length > 0 && (
        <Box component="section" aria-label={t("Opposite movements")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
          <Typography variant="h2">{t("The opposite of the work")}</Typography>
          <Typography sx={{ color: "text.secondary", mb: 1 }}>
            {t("Postures of at least {{leastPostureMin}} minutes of effort a shift, and what goes the other way.", {
              leastPostureMin: LEAST_POSTURE_MIN,
            })}
          </Typography>
          {opposites.map(({ posture, left, right, movements }) => (
            <Box
              key={posture}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "220px 1fr" },
                columnGap: 3,
                rowGap: 1,
                py: 1.5,
                borderBottom: "1px solid",
                borderColor: "line",
                alignItems: "start",
              }}
            >
              <Box>
                <Typography variant="h3">{words.label("posture", posture)}</Typography>
                <Typography sx={{ display: "flex", gap: 1, alignItems: "center", mt: 0.5 }}>
                  <SideMark side="left" size={22} /> {t("{{left}} min", { left: Math.round(left) })} <SideMark side="right" size={22} />{" "}
                  {t("{{right}} min", { right: Math.round(right) })}
                </Typography>
              </Box>
              {movements.length === 0 ? (
                <Typography>{t("Nothing in the library fits this place and kit.")}</Typography>
              ) : (
                <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(118px, 1fr))", gap: 1.5 }}>
                  {movements.slice(0, PICTURED).map((movement) => (
                    <TextLink
                      key={movement.id}
                      component={Link}
                      to={`/library/${movement.id}`}
                      sx={{ color: "text.primary", lineHeight: 1.2, textDecoration: "none", fontSize: "0.95rem" }}
                    >
                      <MovementThumb movementId={movement.id} formId={movement.startForm} />
                      {words.movementName(movement.id)}
                    </TextLink>
                  ))}
                  {movements.length > PICTURED && (
                    <Typography sx={{ gridColumn: "1 / -1", color: "text.secondary" }}>
                      {t("Also:")}{" "}
                      {movements.slice(PICTURED).map((movement, i) => (
                        <Fragment key={movement.id}>
                          {i > 0 && ", "}
                          <TextLink component={Link} to={`/library/${movement.id}`} sx={{ color: "text.primary" }}>
                            {words.movementName(movement.id)}
                          </TextLink>
                        </Fragment>
                      ))}
                    </Typography>
                  )}
                </Box>
              )}
            </Box>
          ))}
        </Box>
      )}
      {cards.length > 0 && (
        <Box component="section" aria-label={t("For the work itself")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
          <Typography variant="h2">{t("First, change the work")}</Typography>
          <Typography sx={{ color: "text.secondary", mb: 2 }}>
            {t("Pulled up by the answers; stretching is no substitute for changing a bad grip.")}
          </Typography>
          <CoachingCardList cards={cards} />
        </Box>
      )}
    </>
  );
}
