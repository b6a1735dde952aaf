/** Movements that would fill what is spare, with what they are for; one press puts one in where it belongs. */
import { Box, Button, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { useMemo } from "react";
import { v7 as uuid } from "uuid";
import { placeOf } from "@kind-grip/core/crew";
import type { CrewEntry } from "@kind-grip/core/api";
import { joined, joinersFor, type Joiner } from "@kind-grip/core/compose";
import type { RegionNeed } from "@kind-grip/core/need";
import type { Session } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { useLibrary, useWords } from "../base/library";
import { listText } from "../base/measures";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { useOffered } from "../library/use-offered";
import { useEdit } from "./program-editor";

/** Less than this is room to move about. */
const LEAST_SPARE_SEC = 10;
const NAMED_REGIONS = 3;

interface JoinersProps {
  session: Session;
  spareSec: number;
  needs: readonly RegionNeed[];
  crew: CrewEntry;
  people: number;
}

export function Joiners({ session, spareSec, needs, crew, people }: JoinersProps) {
  const library = useLibrary();
  const words = useWords();
  const offered = useOffered();
  const { program, change, undo } = useEdit();
  const dispatch = useAppDispatch();
  const { style } = program;
  const joiners = useMemo(
    () =>
      spareSec < LEAST_SPARE_SEC
        ? []
        : joinersFor(session, spareSec, { library, offered, needs, style, ...placeOf(crew, session.slot), people }, uuid),
    [session, spareSec, library, offered, needs, style, crew, people],
  );
  if (joiners.length === 0) return null;
  const add = ({ item }: Joiner) => {
    // The session as it is in the program: own forms of people who are out stay where they were.
    const sessions = program.sessions.map((each) => (each.id === session.id ? joined(library, each, item) : each));
    change({ ...program, sessions });
    dispatch(
      notify({ text: t("{{name}} is in {{session}}.", { name: words.movementName(item.movementId), session: session.name }), undo }),
    );
  };
  return (
    <Box component="section" aria-labelledby="joiners" sx={{ mt: 2 }}>
      <Typography variant="h3" id="joiners" sx={{ mb: 0.5 }}>
        {t("{{time}} are spare: what would fit as well", { time: durationText(spareSec) })}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {joiners.map((joiner) => {
          const name = words.movementName(joiner.item.movementId);
          return (
            <Box
              component="li"
              key={joiner.item.movementId}
              sx={{ display: "flex", alignItems: "center", gap: 1, borderBottom: "1px solid", borderColor: "line", py: 0.5 }}
            >
              <Box sx={{ flex: 1, minWidth: 0, lineHeight: 1.3 }}>
                <strong>{name}</strong> {durationText(joiner.sec)}
                <Typography sx={{ color: "text.secondary", fontSize: "0.95rem" }}>
                  {t("for {{regions}}", {
                    regions: listText(joiner.regions.slice(0, NAMED_REGIONS).map((region) => words.label("region", region).toLowerCase())),
                  })}
                </Typography>
              </Box>
              <Button
                size="small"
                variant="outlined"
                startIcon={<Plus size={16} />}
                onClick={() => add(joiner)}
                aria-label={t("Put in {{name}}", { name })}
              >
                {t("Put in")}
              </Button>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
