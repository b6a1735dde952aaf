/** Inside a crew: its name and the path in working order. Each step shows whether anything is there yet. */
import { Box, Link as TextLink, Typography } from "@mui/material";
import { Check, Settings2 } from "lucide-react";
import { Link, NavLink, Outlet, useParams } from "react-router";
import { serverApi, type CrewEntry } from "../app/api";
import { Loaded } from "../parts/Loaded";

/** The crew of the address, loaded; pages below {@link CrewFrame} can rely on it. */
export function useCrew(): CrewEntry {
  const { crewId } = useParams();
  const { data } = serverApi.useCrewQuery(crewId!);
  if (!data) throw new Error("useCrew is for pages inside CrewFrame");
  return data;
}

export default function CrewFrame() {
  const { crewId } = useParams();
  const query = serverApi.useCrewQuery(crewId!);
  return (
    <Loaded query={query}>
      {(crew) => (
        <>
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
                aria-label={`Settings of ${crew.name}`}
                sx={{ display: "grid", placeItems: "center", width: 44, height: 44, color: "text.secondary" }}
              >
                <Settings2 size={20} />
              </TextLink>
            </Box>
            <Path crewId={crew.id} />
          </Box>
          <Outlet />
        </>
      )}
    </Loaded>
  );
}

function Path({ crewId }: { crewId: string }) {
  const people = serverApi.usePeopleQuery(crewId).data?.length ?? 0;
  const programs = serverApi.useProgramsQuery(crewId).data?.length ?? 0;
  const runs = serverApi.useRunsQuery({ crewId, page: 0 }).data?.total ?? 0;
  const steps = [
    { to: "people", label: "People", ready: people > 0 },
    { to: "program", label: "Program", ready: programs > 0 },
    { to: "day-plan", label: "Day plan", ready: runs > 0 },
    { to: "runs", label: "Runs", ready: runs > 0 },
    { to: "progress", label: "Progress", ready: runs > 0 },
  ];
  return (
    <Box component="nav" aria-label="Steps of this crew" sx={{ display: "flex", flexWrap: "wrap", ml: "auto" }}>
      {steps.map(({ to, label, ready }) => (
        <Box
          key={to}
          component={NavLink}
          to={to}
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 0.75,
            minHeight: 52,
            px: 1.75,
            textDecoration: "none",
            color: "text.secondary",
            fontWeight: 650,
            borderBottom: "4px solid transparent",
            mb: "-2px",
            "&:hover": { color: "text.primary" },
            "&.active": { color: "text.primary", borderColor: "warm.main" },
          }}
        >
          {ready ? (
            <Check size={17} aria-label="ready" />
          ) : (
            <Box
              component="span"
              role="img"
              aria-label="empty"
              sx={{ width: 12, height: 12, borderRadius: "50%", border: "2px solid", borderColor: "text.secondary" }}
            />
          )}
          {label}
        </Box>
      ))}
    </Box>
  );
}
