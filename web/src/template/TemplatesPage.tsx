/** Programs to start from: six that ship for other kinds of work, and what the practice kept. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { v7 as uuid } from "uuid";
import type { Program } from "@kind-grip/core/program";
import { compilePerson } from "@kind-grip/core/session";
import { copyOf, SHIPPED_TEMPLATES, shippedProgram, type ShippedTemplateId } from "@kind-grip/core/template";
import { durationText } from "@kind-grip/core/units";
import { problemOf } from "../base/api";
import { useLibrary, useWords } from "../base/library";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { useTellFailure } from "../base/tell-failure";
import { useCrew } from "../crew/CrewFrame";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { programApi } from "../program/api";
import { SESSION_NAMES } from "../program/session-names";
import { templateApi } from "./api";
import { BringInDialog } from "./BringInDialog";
import { SHIPPED_TEMPLATE_TEXTS } from "./template-text";

const SHIPPED = Object.keys(SHIPPED_TEMPLATES) as ShippedTemplateId[];

export default function TemplatesPage() {
  const crew = useCrew();
  const library = useLibrary();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const query = templateApi.useTemplatesQuery();
  const [remove] = templateApi.useRemoveTemplateMutation();
  const told = useTellFailure();
  const [restore] = templateApi.useRestoreTemplateMutation();
  const [create, { isLoading, error, reset }] = programApi.useCreateProgramMutation();
  const [chosen, setChosen] = useState<Program | null>(null);
  const shipped = useMemo(
    () =>
      SHIPPED.map((id) => {
        const text = SHIPPED_TEMPLATE_TEXTS[id];
        return { id, ...text, program: shippedProgram(library, id, text.name, SESSION_NAMES, uuid) };
      }),
    [library],
  );
  const sameId = useSameId();
  const start = async (program: Program) => {
    const made = await create({ crewId: crew.id, id: sameId(program), program });
    if (made.data) await navigate(`/crews/${crew.id}/program/${made.data.id}`);
  };
  const takeOut = async (id: string, name: string) => {
    if (!(await told(remove(id)))) return;
    dispatch(notify({ text: t("{{name}} is no template any more.", { name }), undo: () => restore(id) }));
  };
  return (
    <>
      <PageTitle
        title={t("Start from a template")}
        lead={t(
          "Each fills its sessions in the shape people know. What cannot be done with this crew's places and kit comes as a list to answer.",
        )}
      >
        <Button component={Link} to={`/crews/${crew.id}/program`} startIcon={<ArrowLeft size={20} />}>
          {t("Programs")}
        </Button>
      </PageTitle>
      <Loaded query={query}>
        {(kept) => (
          <>
            {kept.length > 0 && (
              <Section title={t("Kept by your practice")}>
                {kept.map(({ id, name, why, program }) => (
                  <Template
                    key={id}
                    name={name}
                    why={why}
                    program={program}
                    onStart={() => setChosen({ ...copyOf(library, program, { sameCrew: false, kit: crew.kit }, uuid), name })}
                    onTakeOut={() => void takeOut(id, name)}
                  />
                ))}
              </Section>
            )}
            <Section title={t("For other kinds of work")}>
              {shipped.map(({ id, name, why, program }) => (
                <Template key={id} name={name} why={why} program={program} onStart={() => setChosen(program)} />
              ))}
            </Section>
          </>
        )}
      </Loaded>
      {chosen && (
        <BringInDialog
          title={t("{{name}} for {{crew}}", { name: chosen.name, crew: crew.name })}
          program={chosen}
          crew={crew}
          action={t("Make it a program")}
          busy={isLoading}
          error={error === undefined ? null : problemOf(error).message}
          onBringIn={(program) => void start(program)}
          onClose={() => {
            setChosen(null);
            reset();
          }}
        />
      )}
    </>
  );
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ borderBottom: "2px solid", borderColor: "line", pb: 0.5 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {children}
      </Box>
    </Box>
  );
}

interface TemplateProps {
  name: string;
  why: string;
  program: Program;
  onStart(): void;
  onTakeOut?: () => void;
}

function Template({ name, why, program, onStart, onTakeOut }: TemplateProps) {
  const library = useLibrary();
  const words = useWords();
  return (
    <Box
      component="li"
      aria-label={name}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1.1fr) auto" },
        columnGap: 4,
        rowGap: 1,
        py: 2,
        borderBottom: "1px solid",
        borderColor: "line",
        alignItems: "start",
      }}
    >
      <Box>
        <Typography variant="h3">{name}</Typography>
        <Typography sx={{ mt: 0.5 }}>{why}</Typography>
      </Box>
      <Box sx={{ display: "grid", gap: 0.75 }}>
        {program.sessions.map((session) => (
          <Typography key={session.id} sx={{ lineHeight: 1.35 }}>
            <strong>
              {durationText(compilePerson(session, library.timings).totalSec)} {session.name}
            </strong>{" "}
            <Box component="span" sx={{ color: "text.secondary" }}>
              {session.items.map(({ movementId }) => words.movementName(movementId)).join(" · ")}
            </Box>
          </Typography>
        ))}
      </Box>
      <Box sx={{ display: "flex", flexDirection: { md: "column" }, gap: 1 }}>
        <Button variant="contained" onClick={onStart} aria-label={t("Start with {{name}}", { name })}>
          {t("Start with it")}
        </Button>
        {onTakeOut && (
          <Button onClick={onTakeOut} aria-label={t("Take {{name}} out", { name })}>
            {t("Take out")}
          </Button>
        )}
      </Box>
    </Box>
  );
}
