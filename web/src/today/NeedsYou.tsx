/** Who needs the trainer: a person is one entry, whatever there is about them; then who is ready for more, by crew, and who is held out. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { ArrowUpRight, Ban } from "lucide-react";
import { DateTime } from "luxon";
import { Fragment, lazy, Suspense, useEffect, useState } from "react";
import { Link } from "react-router";
import type { PersonAlert, Today } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { firstListText } from "../base/lists";
import { fetched } from "../base/lost-code";
import { Loading } from "../parts/Loading";
import { needsOf } from "./needs";
import { PersonNeed } from "./PersonNeed";

const loadAnswer = () => fetched(() => import("../safety/AnswerDialog"));
const AnswerDialog = lazy(loadAnswer);

/** More than these are opened with a button. */
const FIRST = 8;
const NAMED = 4;

export function NeedsYou({ today }: { today: Today }) {
  const [answering, setAnswering] = useState<PersonAlert | null>(null);
  const [all, setAll] = useState(false);
  const { people, progress, heldOut } = needsOf(today);
  // Whoever stopped and told is never behind a button.
  const urgent = people.filter(({ alert }) => alert).length;
  useEffect(() => {
    // Somebody waits: what they are answered with is here before the connection may go.
    if (urgent > 0) void loadAnswer().catch(() => undefined);
  }, [urgent]);
  if (people.length + progress.length + heldOut.length === 0) return null;
  const shown = all ? people : people.slice(0, Math.max(FIRST, urgent));
  return (
    <Box component="section" aria-label={t("Needs you")} sx={{ mb: 4, display: "grid", gap: 2 }}>
      {people.length > 0 && (
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {shown.map((person) => (
            <PersonNeed key={person.personId} person={person} onAnswer={setAnswering} />
          ))}
          {shown.length < people.length && (
            <Box component="li" sx={{ borderTop: "1px solid", borderColor: "line", py: 1 }}>
              <Button variant="outlined" onClick={() => setAll(true)}>
                {t("{{count}} more people", { count: people.length - shown.length, defaultValue_one: "{{count}} more person" })}
              </Button>
            </Box>
          )}
        </Box>
      )}
      {progress.length + heldOut.length > 0 && (
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1fr 1fr" }, columnGap: 5, rowGap: 1 }}>
          {progress.length > 0 && (
            <Box>
              <Heading>
                <ArrowUpRight size={20} aria-hidden /> {t("Ready for more")}
              </Heading>
              {progress.map(({ crewId, crewName, people: ready }) => (
                <Typography key={crewId} sx={{ minHeight: 32 }}>
                  <TextLink component={Link} to={`/crews/${crewId}/progress`} sx={{ color: "text.primary", fontWeight: 700 }}>
                    {crewName}
                  </TextLink>{" "}
                  <Box component="span" sx={{ color: "text.secondary" }}>
                    {firstListText(
                      ready.map(({ name }) => name),
                      NAMED,
                    )}
                  </Box>
                </Typography>
              ))}
            </Box>
          )}
          {heldOut.length > 0 && (
            <Box>
              <Heading>
                <Ban size={20} aria-hidden /> {t("Held out")}
              </Heading>
              <Typography>
                {heldOut.map(({ personId, crewId, crewName, name, since }, i) => (
                  <Fragment key={personId}>
                    {i > 0 && ", "}
                    <TextLink component={Link} to={`/crews/${crewId}/people/${personId}`} sx={{ color: "text.primary", fontWeight: 700 }}>
                      {name}
                    </TextLink>
                    <Box component="span" sx={{ color: "text.secondary" }}>
                      {" "}
                      ({t("{{crewName}}, since {{date}}", { crewName, date: dateText(DateTime.fromISO(since), "d LLL") })})
                    </Box>
                  </Fragment>
                ))}
              </Typography>
            </Box>
          )}
        </Box>
      )}
      {answering && (
        <Suspense fallback={<Loading />}>
          <AnswerDialog alert={answering} onClose={() => setAnswering(null)} />
        </Suspense>
      )}
    </Box>
  );
}

function Heading({ children }: { children: React.ReactNode }) {
  return (
    <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", mb: 0.5 }}>
      {children}
    </Typography>
  );
}
