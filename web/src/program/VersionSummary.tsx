/** A version of a program in a few lines, to choose between two. */
import { Typography } from "@mui/material";
import type { Program } from "@kind-grip/core/program";
import { compilePerson } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { t } from "../base/words";

export function VersionSummary({ program }: { program: Program }) {
  const library = useLibrary();
  return (
    <>
      <Typography>{program.name}</Typography>
      {program.sessions.map((session) => (
        <Typography key={session.id} sx={{ color: "text.secondary" }}>
          {t("{{name}}: {{items}}, {{time}}", {
            name: session.name,
            items: t("{{count}} items", { count: session.items.length, defaultValue_one: "{{count}} item" }),
            time: durationText(compilePerson(session, library.timings).totalSec),
          })}
        </Typography>
      ))}
    </>
  );
}
