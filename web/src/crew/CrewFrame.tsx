/** Inside a crew: its name and the path in working order. Each step shows whether anything is there yet. */
import { Box, Link as TextLink, Typography } from "@mui/material";
import { Fragment } from "react";
import { Check, CircleAlert, Settings2 } from "lucide-react";
import { Link, NavLink, Outlet, useParams } from "react-router";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Step, StepState } from "@kind-grip/core/crew";
import { t } from "../base/words";
import { crewApi } from "./api";
import { Loaded } from "../parts/Loaded";

/** The crew of the address, loaded; pages below {@link CrewFrame} can rely on it. */
export function useCrew(): CrewEntry {
  const { crewId } = useParams();
  const { currentData: data } = crewApi.useCrewQuery(crewId!);
  if (!data) throw new Error("useCrew is for pages inside CrewFrame");
  return data;
}

export default function CrewFrame() {
  const { crewId } = useParams();
  const query = crewApi.useCrewQuery(crewId!);
  return (
    <Loaded query={query}>
      {(crew) => (
        // What was chosen or begun on another crew's page is not carried over to this one.
        <Fragment key={crew.id}>
          <Box
            sx={{
              display: "flex",
              alignItems: "center",
              columnGap: 3,
              flexWrap: "wrap",
              borderBottom: "2px solid",
              borderColor: "line",
              mb: 2.5,
              "@media print": { display: "none" },
            }}
          >
            <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, minHeight: 52 }}>
              <Typography component="p" variant="h2">
                {crew.name}
              </Typography>
              <TextLink
                component={Link}
                to="settings"
                aria-label={t("Settings of {{name}}", { name: crew.name })}
                sx={{ display: "grid", placeItems: "center", width: 44, height: 44, color: "text.secondary" }}
              >
                <Settings2 size={20} />
              </TextLink>
            </Box>
            <Path crew={crew} />
          </Box>
          <Outlet />
        </Fragment>
      )}
    </Loaded>
  );
}

const STATE_NAMES: Readonly<Record<StepState, string>> = {
  empty: t("empty"),
  part: t("part"),
  ready: t("ready"),
  needsYou: t("needs you"),
};

function Path({ crew: { id: crewId, byBookings } }: { crew: CrewEntry }) {
  // What is not known is not called empty: without an answer the steps have no marks.
  const { currentData: states } = crewApi.useCrewPathQuery(crewId, { pollingInterval: 60_000, skipPollingIfUnfocused: true });
  const steps: { to: string; label: string; step: Step }[] = [
    { to: "people", label: t("People"), step: "people" },
    { to: "work", label: t("Work"), step: "work" },
    { to: "baseline", label: t("Baseline"), step: "baseline" },
    { to: "program", label: t("Program"), step: "program" },
    byBookings ? { to: "bookings", label: t("Bookings"), step: "plan" } : { to: "day-plan", label: t("Day plan"), step: "plan" },
    { to: "runs", label: t("Runs"), step: "runs" },
    { to: "progress", label: t("Progress"), step: "progress" },
    { to: "report", label: t("Report"), step: "report" },
  ];
  return (
    <Box
      component="nav"
      aria-label={t("Steps of this crew")}
      sx={{
        display: { xs: "grid", sm: "flex" },
        gridTemplateColumns: "repeat(4, minmax(0, 1fr))",
        width: { xs: "100%", sm: "auto" },
        flexWrap: "wrap",
        ml: "auto",
      }}
    >
      {steps.map(({ to, label, step }) => (
        <Box
          key={to}
          component={NavLink}
          to={to}
          sx={{
            display: "flex",
            alignItems: "center",
            justifyContent: { xs: "center", sm: "start" },
            gap: { xs: 0.4, sm: 0.6 },
            minHeight: { xs: 44, sm: 52 },
            px: { xs: 0, sm: 1.25 },
            fontSize: { xs: "0.85rem", sm: "1rem" },
            textDecoration: "none",
            color: "text.secondary",
            fontWeight: 650,
            borderBottom: "4px solid transparent",
            mb: "-2px",
            "&:hover": { color: "text.primary" },
            "&.active": { color: "text.primary", borderColor: "warm.main" },
          }}
        >
          <StepMark state={states?.[step]} />
          {label}
        </Box>
      ))}
    </Box>
  );
}

function StepMark({ state }: { state: StepState | undefined }) {
  if (!state) return <Box component="span" aria-hidden sx={{ width: 17 }} />;
  if (state === "ready") return <Check size={17} aria-label={STATE_NAMES[state]} />;
  if (state === "needsYou") return <Box component={CircleAlert} size={17} aria-label={STATE_NAMES[state]} sx={{ color: "error.main" }} />;
  return (
    <Box
      component="span"
      role="img"
      aria-label={STATE_NAMES[state]}
      sx={{
        width: 12,
        height: 12,
        borderRadius: "50%",
        border: "2px solid",
        borderColor: "text.secondary",
        background: state === "part" ? "linear-gradient(90deg, currentColor 50%, transparent 50%)" : "none",
      }}
    />
  );
}
