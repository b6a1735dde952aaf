/** The people of a crew, a line each, where there is no room for columns. */
import { Box, ButtonBase, Checkbox, Typography } from "@mui/material";
import { Link } from "react-router";
import type { PersonEntry } from "@kind-grip/core/api";
import { hasLeft } from "@kind-grip/core/crew";
import { LANGUAGE_FACTS } from "@kind-grip/core/language";
import type { Participations } from "@kind-grip/core/safety";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { takesPart } from "./takes-part";

export interface PeopleTableProps {
  rows: PersonEntry[];
  today: string;
  participations: Participations | undefined;
  chosen: ReadonlySet<string>;
  onChosen(chosen: ReadonlySet<string>): void;
}

export function PeopleList({ rows, today, participations, chosen, onChosen }: PeopleTableProps) {
  return (
    <Box component="ul" aria-label={t("People of this crew")} sx={{ listStyle: "none", m: 0, p: 0 }}>
      {[...rows]
        .sort((a, b) => a.name.localeCompare(b.name))
        .map((person) => {
          const participation = participations?.get(person.id);
          return (
            <Box component="li" key={person.id} sx={{ borderTop: "1px solid", borderColor: "line", display: "flex", alignItems: "center" }}>
              <Checkbox
                checked={chosen.has(person.id)}
                onChange={(_, on) => onChosen(new Set([...chosen].filter((id) => id !== person.id).concat(on ? [person.id] : [])))}
                slotProps={{ input: { "aria-label": t("Choose {{name}}", { name: person.name }) } }}
                sx={{ width: 44, height: 44 }}
              />
              <ButtonBase
                component={Link}
                to={person.id}
                sx={{ width: "100%", minHeight: 60, py: 0.75, gap: 1, justifyContent: "start", textAlign: "start" }}
              >
                {person.handedness ? <SideMark side={person.handedness} /> : <Box sx={{ width: 26 }} />}
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <Typography sx={{ fontWeight: 700 }}>{person.name}</Typography>
                  <Typography sx={{ color: participation?.heldOut ? "error.main" : "text.secondary" }}>
                    {[
                      takesPart(participations, person.id),
                      person.badge,
                      person.language && LANGUAGE_FACTS[person.language].ownName,
                      person.leftOn !== null &&
                        (hasLeft(person, today)
                          ? wholeDayText(person.leftOn)
                          : t("until {{leftOn}}", { leftOn: wholeDayText(person.leftOn) })),
                    ]
                      .filter(Boolean)
                      .join(" · ")}
                  </Typography>
                </Box>
              </ButtonBase>
            </Box>
          );
        })}
    </Box>
  );
}
