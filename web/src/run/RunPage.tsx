/** Leading a session, full screen: what it takes is fetched; then before it, during it, after it. */
import { Box, Button } from "@mui/material";
import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { workingDayAt } from "@kind-grip/core/calendar";
import { sessionOn } from "@kind-grip/core/program";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useNow } from "../base/now";
import { useLibrary } from "../base/library";
import type { CrewEntry, LastPresence, PersonEntry, Today } from "@kind-grip/core/api";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { runApi } from "./api";
import { todayApi } from "../today/api";
import { programApi } from "../program/api";
import { rampsFrom } from "../program/use-ramps";
import { crewApi } from "../crew/api";
import { useOwner } from "../base/api";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import type { QuickReadings } from "../quicktest/quick-readings";
import { participationsFrom, useParticipationQuery } from "../safety/use-participations";
import { LedRun, type RunProps } from "./LedRun";
import { dropUnderWay, underWay } from "./run-store";

export default function RunPage() {
  const library = useLibrary();
  const { crewId, programId, sessionId } = useParams();
  const crew = crewApi.useCrewQuery(crewId!);
  const people = crewApi.usePeopleQuery(crewId!);
  const program = programApi.useProgramQuery(programId!);
  const participation = useParticipationQuery(crewId!);
  const presence = runApi.useLastPresenceQuery(crewId!);
  const ramps = crewApi.useRampsQuery(crewId!, { refetchOnMountOrArgChange: true });
  const now = useNow(60_000);
  const [search] = useSearchParams();
  const placement = search.get("placement");
  // A session placed for a group is led for that group.
  const today = todayApi.useTodayQuery(undefined, { skip: !placement });
  return (
    <Loaded query={crew}>
      {(crewEntry) => (
        <Loaded query={people}>
          {(list) => (
            <Loaded query={program}>
              {(entry) => {
                const written = entry.program.sessions.find((each) => each.id === sessionId);
                return written && written.items.length > 0 ? (
                  <Loaded query={participation}>
                    {(said) => (
                      <Loaded query={ramps}>
                        {(onTheWay) =>
                          (placement && !today.data && !today.error) || (!presence.data && !presence.error) ? (
                            <Loading />
                          ) : (
                            <Resume
                              key={written.id}
                              crew={crewEntry}
                              people={groupOf(list, today.data, placement)}
                              programId={entry.id}
                              session={sessionOn(library, entry.program, written, workingDayNow(crewEntry, now), rampsFrom(onTheWay))}
                              said={participationsFrom(said)}
                              lastAway={awayOf(presence.data, now)}
                            />
                          )
                        }
                      </Loaded>
                    )}
                  </Loaded>
                ) : (
                  <Box sx={{ p: 4 }}>
                    <Empty title={t("This session has nothing to lead")} text={t("It was taken out of its program, or has no items yet.")}>
                      <Button component={Link} to={`/crews/${crewId}/program/${programId}`} variant="contained">
                        {t("Open the program")}
                      </Button>
                    </Empty>
                  </Box>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function groupOf(people: PersonEntry[], today: Today | undefined, placementId: string | null): PersonEntry[] {
  const group = today?.entries.find((each) => each.placementId === placementId)?.groupPeople;
  return group ? people.filter(({ id }) => group.includes(id)) : people;
}

/** Whoever was away within this much is likely to be away still. */
const SAME_DAYS_MS = 4 * 86_400_000;

function awayOf(presence: LastPresence | undefined, now: number): ReadonlySet<string> {
  const recent = presence?.startedAt && now - Date.parse(presence.startedAt) < SAME_DAYS_MS;
  return new Set([...(recent ? presence.absent : []), ...(presence?.excused ?? [])]);
}

/** The day a session is led for: in a night shift after midnight still that of the shift. */
function workingDayNow({ shiftPattern, timeZone }: CrewEntry, now: number): string {
  return workingDayAt(shiftPattern, timeZone, now);
}

/** A run that was interrupted in this browser can go on where it was. */
function Resume(props: RunProps) {
  const owner = useOwner();
  const [found] = useState(() => underWay(props.programId, props.session.id, owner));
  const [choice, setChoice] = useState<"ask" | "resume" | "fresh">(found ? "ask" : "fresh");
  const [isShort, setIsShort] = useState(false);
  const [away, setAway] = useState<ReadonlySet<string>>(() => new Set(found?.away ?? props.lastAway));
  const [quick, setQuick] = useState<QuickReadings>(() => found?.quick ?? {});
  if (choice === "ask" && found) {
    return (
      <Box sx={{ minHeight: PAGE_HEIGHT, display: "grid", placeItems: "center", p: 4 }}>
        <Empty
          title={t("{{name}} was interrupted at {{time}}", { name: props.session.name, time: durationText(found.clock.atSec) })}
          text={t("of {{time}}. Nothing of it is lost.", { time: durationText(found.clock.totalSec) })}
        >
          <Button variant="contained" autoFocus onClick={() => setChoice("resume")}>
            {t("Go on from there")}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              dropUnderWay(props.programId, props.session.id);
              setQuick({});
              setChoice("fresh");
            }}
          >
            {t("Start again")}
          </Button>
        </Empty>
      </Box>
    );
  }
  return (
    <LedRun
      key={isShort ? "short" : "written"}
      {...props}
      resumed={choice === "resume" ? found : undefined}
      isShort={isShort}
      onShort={setIsShort}
      away={away}
      onAway={setAway}
      quick={quick}
      onQuick={setQuick}
    />
  );
}
