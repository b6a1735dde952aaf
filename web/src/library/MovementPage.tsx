/** One movement, whole: how to do it, the ladder of forms, doses by style, what to watch for. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, PencilRuler } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link, useParams } from "react-router";
import {
  doseFor,
  LOAD_SCHOOLS,
  newItem,
  CUSTOM_PREFIX,
  STRETCH_SCHOOLS,
  type LoadSchool,
  type Movement,
  type StretchSchool,
  type Style,
} from "@kind-grip/core/library";
import { compilePerson } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { LostPage } from "../parts/LostPage";
import { PageTitle } from "../parts/PageTitle";
import { FigureStage } from "./FigureStage";
import { HowTo } from "./HowTo";
import { Ladder } from "./Ladder";
import { WrongAndRight } from "./WrongAndRight";

export default function MovementPage() {
  const library = useLibrary();
  const { movementId } = useParams();
  const movement = library.find(movementId ?? "");
  if (!movement) return <LostPage />;
  return <MovementSheet key={movement.id} movement={movement} />;
}

function MovementSheet({ movement }: { movement: Movement }) {
  const words = useWords();
  const text = words.movement(movement.id);
  const [formId, setFormId] = useState(movement.startForm);
  const names = (list: "region" | "setting" | "kit" | "posture" | "sides", keys: readonly string[]) =>
    keys.map((key) => words.label(list, key)).join(", ");
  const { worked, stretched, released } = movement.regions;
  return (
    <>
      <Button
        component={Link}
        to="/library"
        startIcon={<ArrowLeft size={18} />}
        sx={{ ml: -1.5, mb: 1, "@media print": { display: "none" } }}
      >
        {t("Library")}
      </Button>
      <PageTitle
        title={text.name}
        lead={t("{{word}} · stay under {{effortCap}} of 10", { word: words.label("phase", movement.phase), effortCap: movement.effortCap })}
      >
        {movement.id.startsWith(CUSTOM_PREFIX) && (
          <Button
            component={Link}
            to={`/library/studio/${movement.id.slice(CUSTOM_PREFIX.length)}`}
            variant="outlined"
            startIcon={<PencilRuler size={18} />}
            sx={{ "@media print": { display: "none" } }}
          >
            {t("Change it in the studio")}
          </Button>
        )}
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.15fr) minmax(0, 1fr)" },
          columnGap: 5,
          rowGap: 4,
        }}
      >
        <Box sx={{ display: "grid", gap: 3, alignContent: "start" }}>
          <FigureStage movement={movement} formId={formId} />
          <WrongAndRight movement={movement} />
        </Box>
        <Box sx={{ display: "grid", gap: 3, alignContent: "start" }}>
          <HowTo movementId={movement.id} />
          <Part title={t("Ladder, easiest first")}>
            <Ladder movement={movement} chosen={formId} onChoose={setFormId} />
          </Part>
        </Box>
        <Part title={t("Dose by style")}>
          <DoseTable movement={movement} />
        </Part>
        <Part title={t("Facts")}>
          <Facts
            rows={[
              [t("Works"), names("region", worked)],
              [t("Stretches"), names("region", stretched)],
              [t("Releases"), names("region", released)],
              [t("Motion"), movement.motions.join(", ")],
              [t("Undoes"), names("posture", movement.reverses)],
              [t("Sides"), names("sides", movement.sideModes)],
              [t("Place"), names("setting", movement.settings)],
              [t("Kit"), names("kit", [...new Set([...movement.kit, ...movement.forms.flatMap((form) => form.kit)])]) || t("None")],
              [
                t("Getting ready"),
                `${movement.readySec} s${movement.switchSec ? t(", changing sides {{switchSec}} s", { switchSec: movement.switchSec }) : ""}`,
              ],
              ...(movement.weightBearing
                ? ([[t("Weight on the hands"), t("Only after a clean week without; needs a clean surface")]] as const)
                : []),
            ]}
          />
        </Part>
      </Box>
      <Typography variant="caption" component="p" sx={{ mt: 5, color: "text.secondary" }}>
        {words.paper("prevention")}
      </Typography>
    </>
  );
}

function DoseTable({ movement }: { movement: Movement }) {
  const library = useLibrary();
  const words = useWords();
  const strengthen = movement.phase === "strengthen";
  const schools = strengthen ? LOAD_SCHOOLS : STRETCH_SCHOOLS;
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        "& td, & th": { py: 0.5, textAlign: "left", borderBottom: "1px solid", borderColor: "line", fontWeight: 400 },
        "& td:last-of-type": { textAlign: "right" },
      }}
    >
      <tbody>
        {schools.map((school) => {
          const style: Style = strengthen
            ? { stretch: "activeAssisted", load: school as LoadSchool }
            : { stretch: school as StretchSchool, load: "pacedReps" };
          const item = newItem(movement, style, "00000000-0000-7000-8000-000000000000");
          const total = compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, library.timings).totalSec;
          return (
            <tr key={school}>
              <th scope="row">{words.label(strengthen ? "loadSchool" : "stretchSchool", school)}</th>
              <td>
                <strong>{words.dose(doseFor(movement, style))}</strong>
              </td>
              <td>{durationText(total)}</td>
            </tr>
          );
        })}
      </tbody>
    </Box>
  );
}

function Facts({ rows }: { rows: readonly (readonly [string, string])[] }) {
  return (
    <Box
      component="dl"
      sx={{ display: "grid", gridTemplateColumns: "120px 1fr", rowGap: 0.5, m: 0, "& dt": { color: "text.secondary" }, "& dd": { m: 0 } }}
    >
      {rows
        .filter(([, value]) => value)
        .flatMap(([name, value]) => [<dt key={`${name}-t`}>{name}</dt>, <dd key={`${name}-d`}>{value}</dd>])}
    </Box>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section">
      <Typography variant="h3" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
