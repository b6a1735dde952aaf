/** How a roster file is read: its encoding, the line that names its columns, which column is what, the order of its dates. */
import { Alert, Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { ROSTER_FIELDS, type ColumnMap, type DateOrder, type Encoding, type RosterText } from "@kind-grip/core/crew";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { FIELD_NAMES } from "./roster-fields";

const ENCODING_NAMES: Record<Encoding, string> = {
  "utf-8": "UTF-8",
  "utf-16le": "UTF-16",
  "utf-16be": "UTF-16 (big-endian)",
  "windows-1252": "Windows-1252",
};
const DELIMITER_NAMES: Record<string, string> = { ",": t("commas"), ";": t("semicolons"), "\t": t("tabs"), "|": t("bars") };
const NO_HEADER = "none";

interface RosterFileProps {
  name: string;
  text: RosterText;
  rows: number;
  onEncoding(encoding: Encoding): void;
  onHeader(line: number | null): void;
  onClose(): void;
}

export function RosterFile({ name, text, rows, onEncoding, onHeader, onClose }: RosterFileProps) {
  return (
    <>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "end", flexWrap: "wrap" }}>
        <Typography sx={{ alignSelf: "center" }}>
          <strong>{name}</strong>
          {t(": {{count}} rows, {{delimiterNames}}", {
            count: rows,
            delimiterNames: DELIMITER_NAMES[text.delimiter] ?? t("one column"),
            defaultValue_one: ": {{count}} row, {{delimiterNames}}",
          })}
        </Typography>
        <TextField
          select
          label={t("Encoding")}
          value={text.encoding}
          onChange={(event) => onEncoding(event.target.value as Encoding)}
          sx={{ width: 200 }}
        >
          {Object.entries(ENCODING_NAMES).map(([value, label]) => (
            <MenuItem key={value} value={value}>
              {label}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label={t("Columns are named in")}
          value={text.headerLine ?? NO_HEADER}
          onChange={(event) => onHeader(event.target.value === NO_HEADER ? null : Number(event.target.value))}
          sx={{ width: 260 }}
        >
          {text.firstLines.map(({ line, cells }) => (
            <MenuItem key={line} value={line}>
              <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", maxWidth: 480 }}>
                {t("line {{line}}: {{cells}}", { line, cells: cells.filter(Boolean).join(", ") })}
              </Box>
            </MenuItem>
          ))}
          <MenuItem value={NO_HEADER}>{t("no line: all are people")}</MenuItem>
        </TextField>
        <Button onClick={onClose}>{t("Another file")}</Button>
      </Box>
      {text.encoding === "windows-1252" && (
        <Alert severity="warning" variant="outlined">
          {t("This file is not UTF-8. It is read as Windows-1252: look whether the names are spelled right, or choose another encoding.")}
        </Alert>
      )}
    </>
  );
}

interface RosterColumnsProps {
  text: RosterText;
  columns: ColumnMap;
  dateOrder: DateOrder;
  onColumns(columns: ColumnMap): void;
  onDateOrder(order: DateOrder): void;
}

export function RosterColumns({ text, columns, dateOrder, onColumns, onDateOrder }: RosterColumnsProps) {
  const dated = columns.startedOn !== undefined || columns.leftOn !== undefined;
  /** What is in it, where the file does not say. */
  const nameOf = (index: number) =>
    text.headers[index] || t("column {{i}}: {{cell}}", { i: index + 1, cell: text.rows[0]?.cells[index] ?? "" });
  return (
    <Box role="group" aria-label={t("Which column is what")} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "end" }}>
      {ROSTER_FIELDS.map((field) => (
        <TextField
          key={field}
          select
          label={FIELD_NAMES[field]}
          value={columns[field] ?? ""}
          onChange={(event) => {
            const { [field]: _old, ...others } = columns;
            onColumns(event.target.value === "" ? others : { ...others, [field]: Number(event.target.value) });
          }}
          sx={{ width: 172 }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">{t("not in the file")}</MenuItem>
          {text.headers.map((_, i) => (
            <MenuItem key={i} value={i}>
              {nameOf(i)}
            </MenuItem>
          ))}
        </TextField>
      ))}
      {dated && (
        <Choice<DateOrder>
          label={t("Order of dates")}
          value={dateOrder}
          onChange={onDateOrder}
          options={[
            { value: "dmy", label: t("day/month") },
            { value: "mdy", label: t("month/day") },
          ]}
        />
      )}
    </Box>
  );
}
