/** The bench: small tools for the arithmetic of loads, kit, tape, strain, doses and pace. Each usable alone. */
import { Box } from "@mui/material";
import { NavLink, Navigate, useParams } from "react-router";
import { t } from "../base/words";
import { PageTitle } from "../parts/PageTitle";
import { DoseBench } from "./DoseBench";
import { KitBench } from "./KitBench";
import { LeverBench } from "./LeverBench";
import { PaceBench } from "./PaceBench";
import { StrainBench } from "./StrainBench";
import { TapeBench } from "./TapeBench";

const TOOLS = [
  { id: "lever", label: t("Lever and load"), title: t("What does it weigh in the hand?"), Tool: LeverBench },
  { id: "kit", label: t("Kit for a group"), title: t("Enough for everybody?"), Tool: KitBench },
  { id: "tape", label: t("Tape"), title: t("How much tape?"), Tool: TapeBench },
  { id: "strain", label: t("Strain"), title: t("How hard is it on the hand?"), Tool: StrainBench },
  { id: "dose", label: t("Doses"), title: t("One movement, every school"), Tool: DoseBench },
  { id: "pace", label: t("Pace"), title: t("Keep the pace"), Tool: PaceBench },
] as const;

export default function BenchPage() {
  const { tool } = useParams();
  const chosen = TOOLS.find(({ id }) => id === tool);
  if (!chosen) return <Navigate to="/bench/lever" replace />;
  return (
    <>
      <Box
        component="nav"
        aria-label={t("Tools of the bench")}
        sx={{
          display: "flex",
          flexWrap: "wrap",
          gap: 0.5,
          borderBottom: "2px solid",
          borderColor: "line",
          mb: 3,
          "@media print": { display: "none" },
        }}
      >
        {TOOLS.map(({ id, label }) => (
          <Box
            key={id}
            component={NavLink}
            to={`/bench/${id}`}
            sx={{
              display: "flex",
              alignItems: "center",
              minHeight: 52,
              px: 1.75,
              mb: "-2px",
              textDecoration: "none",
              fontWeight: 650,
              color: "text.secondary",
              borderBottom: "4px solid transparent",
              "&:hover": { color: "text.primary" },
              "&.active": { color: "text.primary", borderColor: "warm.main" },
            }}
          >
            {label}
          </Box>
        ))}
      </Box>
      <PageTitle title={chosen.title} />
      <chosen.Tool />
    </>
  );
}
