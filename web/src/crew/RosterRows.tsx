/** The rows of a roster file as they would come in; a cell can be written over before anything is kept. */
import { Box, Button } from "@mui/material";
import { DataGrid, type GridColDef } from "@mui/x-data-grid";
import { Check, CircleHelp, Equal, PencilLine, TriangleAlert, type LucideIcon } from "lucide-react";
import type { RosterField, RosterOutcome, RosterReading, RosterRow } from "@kind-grip/core/crew";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { ENTERED, enteredText } from "./entered-text";
import { FIELD_NAMES } from "./roster-fields";

const OUTCOMES: Record<Exclude<RosterOutcome, "ask">, { word: string; Icon: LucideIcon; color: string }> = {
  new: { word: t("new"), Icon: Check, color: "primary.main" },
  change: { word: t("changes"), Icon: PencilLine, color: "primary.main" },
  same: { word: t("as it is"), Icon: Equal, color: "text.secondary" },
  bad: { word: t("look"), Icon: TriangleAlert, color: "error.main" },
};

interface RosterRowsProps {
  rows: readonly RosterRow[];
  onEdit(line: number, field: RosterField, cell: string): void;
  answers: RosterReading["answers"];
  /** null asks again. */
  onAnswer(line: number, answer: "same" | "else" | null): void;
}

type GridRow = { id: number; row: RosterRow } & Record<(typeof ENTERED)[number], string>;

export function RosterRows({ rows, answers, onEdit, onAnswer }: RosterRowsProps) {
  const columns: GridColDef<GridRow>[] = [
    { field: "id", headerName: t("Line"), width: 66 },
    {
      field: "state",
      headerName: "",
      width: 236,
      sortable: false,
      renderCell: ({ row: { row } }) =>
        row.outcome === "ask" ? (
          <Asked row={row} onAnswer={onAnswer} />
        ) : (
          <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            <Outcome outcome={row.outcome} />
            {answers[row.line] && (
              <Button
                sx={{ px: 1 }}
                onClick={() => onAnswer(row.line, null)}
                aria-label={t("Ask about line {{line}} again", { line: row.line })}
              >
                {t("Ask again")}
              </Button>
            )}
          </Box>
        ),
    },
    ...ENTERED.map((field): GridColDef<GridRow> => ({
      field,
      headerName: FIELD_NAMES[field],
      flex: field === "name" ? 1.5 : 1,
      minWidth: field === "name" ? 170 : 124,
      sortable: false,
      editable: true,
      renderCell: ({ row: { row } }) => <Cell field={field} row={row} />,
    })),
  ];
  return (
    <Box sx={{ height: Math.min(620, 62 + rows.length * 66) }}>
      <DataGrid
        aria-label={t("Rows of the file")}
        rows={rows.map((row) => ({ id: row.line, row, ...writtenOf(row) }))}
        columns={columns}
        getRowHeight={() => "auto"}
        getEstimatedRowHeight={() => 60}
        disableColumnMenu
        disableRowSelectionOnClick
        hideFooter={rows.length <= 100}
        pageSizeOptions={[100]}
        initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
        processRowUpdate={(next, before) => {
          for (const field of ENTERED) if (next[field] !== before[field]) onEdit(next.id, field, next[field]);
          return next;
        }}
        sx={{
          border: 0,
          fontSize: "1rem",
          "--DataGrid-containerBackground": "transparent",
          "--DataGrid-rowBorderColor": "var(--mui-palette-line)",
          "& .MuiDataGrid-cell": { display: "flex", alignItems: "center", minHeight: 58, py: 0.5 },
        }}
      />
    </Box>
  );
}

/** The cells as they are written in the file. */
const writtenOf = ({ given, known }: RosterRow): Record<(typeof ENTERED)[number], string> => ({
  name: given.name ?? ([given.givenName, given.familyName].filter(Boolean).join(" ") || (known?.name ?? "")),
  badge: given.badge ?? "",
  handedness: given.handedness ?? "",
  startedOn: given.startedOn ?? "",
  leftOn: given.leftOn ?? "",
  language: given.language ?? "",
});

function Cell({ field, row }: { field: (typeof ENTERED)[number]; row: RosterRow }) {
  const problems = row.problems.filter((each) => each.field === field);
  const was = row.known && row.changed.includes(field) ? enteredText(row.known, field) : "";
  return (
    <Box sx={{ lineHeight: 1.2, minWidth: 0 }}>
      <Box component="span" sx={{ fontWeight: field === "name" || row.changed.includes(field) ? 700 : 400 }}>
        {row.person ? enteredText(row.person, field) : writtenOf(row)[field]}
      </Box>
      {was && <Box sx={{ color: "text.secondary", fontSize: "0.875rem" }}>{t("was {{was}}", { was })}</Box>}
      {problems.map(({ message }) => (
        <Box key={message} sx={{ color: "error.main", fontSize: "0.875rem", whiteSpace: "normal" }}>
          {message}
        </Box>
      ))}
    </Box>
  );
}

function Asked({ row, onAnswer }: { row: RosterRow; onAnswer: RosterRowsProps["onAnswer"] }) {
  const { name, leftOn } = row.known!;
  // Whoever left and is on the list without a last day.
  const isBack = leftOn !== null && row.changed.includes("leftOn");
  return (
    <Box role="group" aria-label={t("Line {{line}}: is it {{name}}?", { line: row.line, name })} sx={{ width: "100%" }}>
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", color: "warm.dark", fontWeight: 700, lineHeight: 1.1 }}>
        <CircleHelp size={17} aria-hidden /> {t("{{name}}?", { name })}
      </Box>
      {isBack && (
        <Box sx={{ color: "text.secondary", fontSize: "0.875rem", lineHeight: 1.2, whiteSpace: "normal" }}>
          {t("left {{day}}; the same is here again", { day: wholeDayText(leftOn) })}
        </Box>
      )}
      <Button size="small" sx={{ minHeight: 30, px: 0.5 }} onClick={() => onAnswer(row.line, "same")}>
        {t("The same")}
      </Button>
      <Button size="small" sx={{ minHeight: 30, px: 0.5 }} onClick={() => onAnswer(row.line, "else")}>
        {t("Somebody else")}
      </Button>
    </Box>
  );
}

function Outcome({ outcome }: { outcome: Exclude<RosterOutcome, "ask"> }) {
  const { word, Icon, color } = OUTCOMES[outcome];
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", color, fontWeight: 700 }}>
      <Icon size={17} aria-hidden /> {word}
    </Box>
  );
}
