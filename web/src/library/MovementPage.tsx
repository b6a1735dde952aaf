/** One movement, whole: how to do it, the ladder of forms, doses by style, what to watch for. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft } from "lucide-react";
import type { ReactNode } from "react";
import { Link, useParams } from "react-router";
import { wordsIn } from "@kind-grip/core/language";
import {
  doseFor,
  findMovement,
  FORM_TIMINGS,
  LOAD_SCHOOLS,
  newItem,
  STRETCH_SCHOOLS,
  type LoadSchool,
  type Movement,
  type StretchSchool,
  type Style,
} from "@kind-grip/core/library";
import { compilePerson, doseText } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";
import { LostPage } from "../app/CrashPage";
import { PageTitle } from "../parts/PageTitle";

export default function MovementPage() {
  const { movementId } = useParams();
  const movement = findMovement(movementId ?? "");
  if (!movement) return <LostPage />;
  return <MovementSheet movement={movement} />;
}

function MovementSheet({ movement }: { movement: Movement }) {
  const words = wordsIn();
  const text = words.movement(movement.id);
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
        Library
      </Button>
      <PageTitle title={text.name} lead={`${words.label("phase", movement.phase)} · stay under ${movement.effortCap} of 10`} />
      <Box sx={{ display: "grid", gridTemplateColumns: { md: "1.35fr 1fr" }, columnGap: 8, rowGap: 4 }}>
        <Box>
          <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none", counterReset: "step" }}>
            {text.steps.map((step, i) => (
              <Box
                component="li"
                key={i}
                sx={{
                  counterIncrement: "step",
                  display: "grid",
                  gridTemplateColumns: "44px 1fr",
                  alignItems: "baseline",
                  py: 0.75,
                  fontSize: "1.3rem",
                  lineHeight: 1.35,
                  "&::before": { content: "counter(step)", fontWeight: 750, color: "primary.main", fontSize: "1.6rem" },
                }}
              >
                {step}
              </Box>
            ))}
          </Box>
          <Typography sx={{ mt: 2, fontSize: "1.1rem" }}>
            <strong>You feel it:</strong> {text.feel}
          </Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: { sm: "1fr 1fr" }, gap: 4, mt: 3 }}>
            <Lines title="Watch for" lines={text.watch} />
            <Lines title="Care" lines={text.care} tone="warm.dark" />
          </Box>
        </Box>
        <Box sx={{ display: "grid", gap: 3, alignContent: "start" }}>
          <Part title="Ladder, easiest first">
            <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none" }}>
              {movement.forms.map((form, rung) => (
                <Box component="li" key={form.id} sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 36 }}>
                  <Box
                    aria-hidden
                    sx={{
                      width: 22 + rung * 26,
                      height: 12,
                      bgcolor: "primary.main",
                      opacity: 0.45 + 0.55 * ((rung + 1) / movement.forms.length),
                      borderRadius: 0.5,
                    }}
                  />
                  <span>
                    {words.formName(movement.id, form.id)}
                    {form.id === movement.startForm && (
                      <Box component="span" sx={{ color: "text.secondary" }}>
                        {" "}
                        – where a new item starts
                      </Box>
                    )}
                    {form.needsCleanWeek && (
                      <Box component="span" sx={{ color: "warm.dark" }}>
                        {" "}
                        – after a clean week
                      </Box>
                    )}
                  </span>
                </Box>
              ))}
            </Box>
          </Part>
          <Part title="Dose by style">
            <DoseTable movement={movement} />
          </Part>
          <Part title="Facts">
            <Facts
              rows={[
                ["Works", names("region", worked)],
                ["Stretches", names("region", stretched)],
                ["Releases", names("region", released)],
                ["Motion", movement.motions.join(", ")],
                ["Undoes", names("posture", movement.reverses)],
                ["Sides", names("sides", movement.sideModes)],
                ["Place", names("setting", movement.settings)],
                ["Kit", names("kit", [...new Set([...movement.kit, ...movement.forms.flatMap((form) => form.kit)])]) || "None"],
                ["Getting ready", `${movement.readySec} s${movement.switchSec ? `, changing sides ${movement.switchSec} s` : ""}`],
                ...(movement.weightBearing
                  ? ([["Weight on the hands", "Only after a clean week without; needs a clean surface"]] as const)
                  : []),
              ]}
            />
          </Part>
        </Box>
      </Box>
      <Typography variant="caption" component="p" sx={{ mt: 5, color: "text.secondary" }}>
        {words.paper("prevention")}
      </Typography>
    </>
  );
}

function DoseTable({ movement }: { movement: Movement }) {
  const words = wordsIn();
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
          const total = compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, FORM_TIMINGS).totalSec;
          return (
            <tr key={school}>
              <th scope="row">{words.label(strengthen ? "loadSchool" : "stretchSchool", school)}</th>
              <td>
                <strong>{doseText(doseFor(movement, style))}</strong>
              </td>
              <td>{clockText(total)}</td>
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

function Lines({ title, lines, tone }: { title: string; lines: readonly string[]; tone?: string }) {
  if (lines.length === 0) return null;
  return (
    <Box sx={{ borderLeft: "4px solid", borderColor: tone ?? "primary.main", pl: 2 }}>
      <Typography variant="h3">{title}</Typography>
      {lines.map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
    </Box>
  );
}
