/** The programs of a crew. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { FileUp, LayoutTemplate, Plus, Scale, Smartphone } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { slotSecOf } from "@kind-grip/core/crew";
import { DEFAULT_STYLE } from "@kind-grip/core/library";
import type { Session } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { weeksText } from "../base/amounts";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { programApi } from "./api";
import { practiceApi } from "../practice/api";
import { problemOf, type ProblemBody } from "../base/api";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { FilePick } from "../parts/FilePick";
import { HandOutButton } from "./HandOutButton";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { useGroupLengths } from "./use-group-lengths";

export default function ProgramsPage() {
  const { data: settings } = practiceApi.useSettingsQuery();
  const crew = useCrew();
  const words = useWords();
  // Which is worked by changes with the plan and with what was led.
  const query = programApi.useProgramsQuery(crew.id, { refetchOnMountOrArgChange: true });
  const [create, { isLoading }] = programApi.useCreateProgramMutation();
  const [bringIn] = programApi.useImportProgramMutation();
  const [problem, setProblem] = useState<ProblemBody | null>(null);
  const navigate = useNavigate();

  const sameId = useSameId();
  const start = async () => {
    const program = {
      name: t("{{trade}} hands", { trade: crew.trade }),
      style: settings?.settings.style ?? DEFAULT_STYLE,
      weeks: 4,
      sessions: [],
    };
    const made = await create({ crewId: crew.id, id: sameId(program), program });
    if (made.data) await navigate(made.data.id);
    else setProblem(problemOf(made.error));
  };
  const importFile = async (file: File) => {
    setProblem(null);
    const text = await file.text();
    const made = await bringIn({ crewId: crew.id, id: sameId(text), text });
    if (made.data) await navigate(made.data.id);
    else setProblem(problemOf(made.error));
  };
  const importButton = (
    <FilePick
      label={t("Program file")}
      accept=".json,application/json"
      variant="outlined"
      startIcon={<FileUp size={20} />}
      onPick={(file) => void importFile(file)}
    >
      {t("Bring in a file")}
    </FilePick>
  );
  const startButton = (
    <Button variant="outlined" startIcon={<Plus size={20} />} disabled={isLoading} onClick={() => void start()}>
      {t("Start a program")}
    </Button>
  );
  const composeButton = (
    <Button component={Link} to="compose" variant="contained" startIcon={<Scale size={20} />}>
      {t("Compose from need")}
    </Button>
  );
  return (
    <>
      <PageTitle title={t("Programs")}>
        {composeButton}
        <Button component={Link} to="templates" variant="outlined" startIcon={<LayoutTemplate size={20} />}>
          {t("From a template")}
        </Button>
        {startButton}
        {importButton}
      </PageTitle>
      {problem && (
        <Alert severity="error" variant="outlined" onClose={() => setProblem(null)} sx={{ mb: 3, maxWidth: 820 }}>
          {problem.message}
          {problem.fields.length > 0 && (
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {problem.fields.slice(0, 12).map((field) => (
                <li key={`${field.path} ${field.message}`}>
                  {field.path && <code>{field.path}</code>} {field.message}
                </li>
              ))}
            </Box>
          )}
        </Alert>
      )}
      <Loaded query={query}>
        {(programs) =>
          programs.length === 0 ? (
            <Empty
              title={t("No program yet")}
              text={t(
                "A program holds the sessions for this crew's slots: {{time}} before the shift, {{time2}} in a break, {{time3}} after it.",
                {
                  time: durationText(crew.slots.preShift),
                  time2: durationText(crew.slots.break),
                  time3: durationText(crew.slots.postShift),
                },
              )}
            />
          ) : (
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
              {programs.map(({ id, program, inUse }) => (
                <Box
                  component="li"
                  key={id}
                  sx={{
                    borderTop: "2px solid",
                    borderColor: "line",
                    py: 2,
                    display: "grid",
                    gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1.2fr 2fr auto" },
                    gap: 3,
                    alignItems: "center",
                  }}
                >
                  <Box>
                    <Typography variant="h2">
                      <Box component={Link} to={id} sx={{ color: "inherit" }}>
                        {program.name}
                      </Box>
                    </Typography>
                    <Typography sx={{ color: "text.secondary" }}>
                      {t("{{word}} · {{word2}} · {{weeks}}", {
                        word: words.label("stretchSchool", program.style.stretch),
                        word2: words.label("loadSchool", program.style.load),
                        weeks: weeksText(program.weeks),
                      })}
                    </Typography>
                    {inUse && programs.length > 1 && (
                      <Typography sx={{ display: "flex", gap: 0.75, alignItems: "start", color: "primary.main", fontWeight: 650, mt: 0.5 }}>
                        <Smartphone size={18} aria-hidden style={{ flex: "none", marginTop: 3 }} />
                        {t("Worked by now: phones show what is done at any time and at home from it.")}
                      </Typography>
                    )}
                  </Box>
                  <Box>
                    <Lengths crew={crew} sessions={program.sessions} />
                  </Box>
                  <HandOutButton programId={id} />
                </Box>
              ))}
            </Box>
          )
        }
      </Loaded>
    </>
  );
}

/** Each session with its length for everybody, against its slot. */
function Lengths({ crew, sessions }: { crew: CrewEntry; sessions: readonly Session[] }) {
  const lengths = useGroupLengths(crew, sessions);
  return sessions.map((session) => {
    const total = lengths.get(session.id)!;
    const slot = slotSecOf(crew, session.slot);
    return (
      <Typography key={session.id}>
        <strong>{durationText(total)}</strong> {session.name}{" "}
        <Box component="span" sx={{ color: total > slot ? "warm.dark" : "text.secondary" }}>
          {total > slot ? t("over its {{time}}", { time: durationText(slot) }) : t("of {{time}}", { time: durationText(slot) })}
        </Box>
      </Typography>
    );
  });
}
