/** The rows of a roster file as they would come in. */
import { Box } from "@mui/material";
import { DataGrid, type GridColDef } from "@mui/x-data-grid";
import { Check, TriangleAlert } from "lucide-react";
import { type RosterField, type RosterRow } from "@kind-grip/core/crew";
import { t } from "../base/words";

export const FIELD_NAMES: Record<RosterField, string> = {
  name: t("Name"),
  givenName: t("First name"),
  familyName: t("Last name"),
  badge: t("Badge"),
  handedness: t("Main hand"),
  startedOn: t("First day"),
  leftOn: t("Last day"),
  language: t("Language"),
};

export function RowsTable({ rows }: { rows: RosterRow[] }) {
  const cell = (field: RosterField) => (row: RosterRow) => {
    const problem = row.problems.find((each) => each.field === field);
    const given =
      field === "name" ? (row.given.name ?? [row.given.givenName, row.given.familyName].filter(Boolean).join(" ")) : row.given[field];
    const read = row.person && field !== "givenName" && field !== "familyName" ? row.person[field] : undefined;
    return (
      <Box sx={{ lineHeight: 1.2 }}>
        <Box component="span" sx={{ fontWeight: field === "name" ? 700 : 400 }}>
          {read ?? given ?? ""}
        </Box>
        {problem && <Box sx={{ color: "error.main", fontSize: "0.875rem", whiteSpace: "normal" }}>{problem.message}</Box>}
      </Box>
    );
  };
  const columns: GridColDef<RosterRow>[] = [
    { field: "line", headerName: t("Line"), width: 76 },
    {
      field: "state",
      headerName: "",
      width: 96,
      sortable: false,
      valueGetter: (_, row) => (row.person ? 0 : 1),
      renderCell: ({ row }) => (row.person ? <State good /> : <State good={false} />),
    },
    ...(["name", "badge", "handedness", "startedOn", "leftOn", "language"] as const).map((field): GridColDef<RosterRow> => ({
      field,
      headerName: FIELD_NAMES[field],
      flex: field === "name" ? 1.5 : 1,
      minWidth: field === "leftOn" ? 110 : 150,
      sortable: false,
      renderCell: ({ row }) => cell(field)(row),
    })),
  ];
  return (
    <Box sx={{ height: Math.min(560, 58 + rows.length * 56) }}>
      <DataGrid
        aria-label={t("Rows of the file")}
        getRowId={(row) => row.line}
        rows={rows}
        columns={columns}
        rowHeight={56}
        disableColumnMenu
        disableRowSelectionOnClick
        hideFooter={rows.length <= 100}
        pageSizeOptions={[100]}
        initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
        sx={{
          border: 0,
          fontSize: "1rem",
          "--DataGrid-containerBackground": "transparent",
          "--DataGrid-rowBorderColor": "var(--mui-palette-line)",
          "& .MuiDataGrid-cell": { display: "flex", alignItems: "center" },
        }}
      />
    </Box>
  );
}

function State({ good }: { good: boolean }) {
  const Icon = good ? Check : TriangleAlert;
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", color: good ? "primary.main" : "error.main", fontWeight: 700 }}>
      <Icon size={17} aria-hidden /> {good ? t("good") : t("look")}
    </Box>
  );
}
