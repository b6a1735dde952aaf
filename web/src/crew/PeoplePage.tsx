/** The people of a crew. */
import { Box, Button, InputAdornment, Link as TextLink, MenuItem, TextField, Typography, useMediaQuery } from "@mui/material";
import { DataGrid, type GridColDef } from "@mui/x-data-grid";
import { Ban, Download, FileUp, Plus, QrCode, Search } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { hasLeft } from "@kind-grip/core/crew";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { dateAt } from "@kind-grip/core/calendar";
import type { PersonEntry } from "@kind-grip/core/api";
import { wholeDayText } from "../base/dates";
import { peopleText } from "../base/amounts";
import { t } from "../base/words";
import { crewApi } from "./api";
import { useNow } from "../base/now";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SideMark } from "../parts/SideMark";
import { useParticipationsIfKnown } from "../safety/use-participations";
import { useCrew } from "./CrewFrame";
import { PeopleList, type PeopleTableProps } from "./PeopleList";
import { EVERYBODY, filterPeople, type PeopleWith } from "./people-filter";
import { PersonDialog } from "./PersonDialog";
import { SetMany } from "./SetMany";
import { takesPart } from "./takes-part";

type Shown = "here" | "left";

const FILTER_NAMES: [PeopleWith, string][] = [
  ["all", t("Everybody")],
  ["noHand", t("Main hand not known")],
  ["noFirstDay", t("First day not known")],
  ["noBadge", t("Without a badge")],
  ["limited", t("Held out or limited")],
];

/** A filter for each language that somebody reads. */
const readBy = (people: readonly PersonEntry[]): [PeopleWith, string][] =>
  LANGUAGES.filter((language) => people.some((person) => person.language === language)).map((language) => [
    `reads ${language}`,
    t("Reads {{language}}", { language: LANGUAGE_FACTS[language].ownName }),
  ]);

export default function PeoplePage() {
  const crew = useCrew();
  const query = crewApi.usePeopleQuery(crew.id);
  const [adding, setAdding] = useState(false);
  const [shown, setShown] = useState<Shown>("here");
  const [filter, setFilter] = useState(EVERYBODY);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const today = dateAt(useNow(), crew.timeZone);
  const participations = useParticipationsIfKnown(crew.id);
  return (
    <>
      <Loaded query={query}>
        {(people) => {
          const left = people.filter((person) => hasLeft(person, today));
          const here = people.filter((person) => !left.includes(person));
          const rows = shown === "left" ? left : here;
          const found = filterPeople(rows, filter, participations);
          const picked = rows.filter(({ id }) => chosen.has(id));
          const heldOut = here.filter(({ id }) => participations?.get(id)?.heldOut).length;
          return (
            <>
              <PageTitle title={peopleText(here.length)}>
                <Button
                  component={Link}
                  to="import"
                  variant={people.length === 0 ? "contained" : "outlined"}
                  startIcon={<FileUp size={20} />}
                >
                  {t("Bring in a list")}
                </Button>
                <Button variant="outlined" startIcon={<Plus size={20} />} onClick={() => setAdding(true)}>
                  {t("Add a person")}
                </Button>
                {people.length > 0 && (
                  <Button
                    component={Link}
                    to="held-out"
                    variant={heldOut > 0 ? "contained" : "outlined"}
                    color={heldOut > 0 ? "error" : "primary"}
                    startIcon={<Ban size={20} />}
                  >
                    {heldOut > 0 ? t("Held out: {{heldOut}}", { heldOut }) : t("Held out")}
                  </Button>
                )}
                {people.length > 0 && (
                  <Button component={Link} to="cards" variant="outlined" startIcon={<QrCode size={20} />}>
                    {t("Sign-in cards")}
                  </Button>
                )}
                {people.length > 0 && (
                  <Button component="a" href={`/api/crews/${crew.id}/people.csv`} startIcon={<Download size={20} />}>
                    {t("CSV")}
                  </Button>
                )}
              </PageTitle>
              {people.length === 0 ? (
                <Empty
                  title={t("Nobody here yet")}
                  text={t("Bring in the roster the employer sent, messy as it is: you see every row before anything is kept.")}
                />
              ) : (
                <>
                  <Box sx={{ display: "flex", gap: 1.5, alignItems: "end", flexWrap: "wrap", mb: 1.5 }}>
                    <TextField
                      type="search"
                      placeholder={t("Name or badge")}
                      value={filter.text}
                      onChange={(event) => setFilter({ ...filter, text: event.target.value })}
                      slotProps={{
                        htmlInput: { "aria-label": t("Find a person") },
                        input: {
                          startAdornment: (
                            <InputAdornment position="start">
                              <Search size={18} />
                            </InputAdornment>
                          ),
                        },
                      }}
                      sx={{ width: { xs: 1, sm: 260 } }}
                    />
                    <TextField
                      select
                      value={filter.with}
                      onChange={(event) => setFilter({ ...filter, with: event.target.value as PeopleWith })}
                      slotProps={{ htmlInput: { "aria-label": t("Who is looked for") } }}
                      sx={{ width: { xs: 1, sm: 230 } }}
                    >
                      {[...FILTER_NAMES, ...readBy(rows)].map(([value, label]) => (
                        <MenuItem key={value} value={value}>
                          {label}
                        </MenuItem>
                      ))}
                    </TextField>
                    {left.length > 0 && (
                      <Choice<Shown>
                        label={t("Who is shown")}
                        value={shown}
                        onChange={setShown}
                        options={[
                          { value: "here", label: t("Here ({{here}})", { here: here.length }) },
                          { value: "left", label: t("Left ({{left}})", { left: left.length }) },
                        ]}
                      />
                    )}
                    {found.length > 0 && !found.every(({ id }) => chosen.has(id)) && (
                      <Button onClick={() => setChosen(new Set([...chosen, ...found.map(({ id }) => id)]))}>
                        {t("Choose all {{count}}", { count: found.length, defaultValue_one: "Choose this one" })}
                      </Button>
                    )}
                  </Box>
                  {picked.length > 0 && <SetMany crew={crew} people={picked} onLetGo={() => setChosen(new Set())} />}
                  {found.length === 0 && (
                    <Box sx={{ py: 3 }}>
                      <Typography sx={{ mb: 1 }}>{t("Nobody is like that.")}</Typography>
                      <Button variant="outlined" onClick={() => setFilter(EVERYBODY)}>
                        {t("Show everybody")}
                      </Button>
                    </Box>
                  )}
                  {found.length > 0 && (
                    <PeopleTable rows={found} today={today} participations={participations} chosen={chosen} onChosen={setChosen} />
                  )}
                </>
              )}
            </>
          );
        }}
      </Loaded>
      {adding && <PersonDialog crewId={crew.id} person={null} today={today} onClose={() => setAdding(false)} />}
    </>
  );
}

function PeopleTable(props: PeopleTableProps) {
  const narrow = useMediaQuery("(max-width: 719.95px)");
  return narrow ? <PeopleList {...props} /> : <PeopleGrid {...props} />;
}

function PeopleGrid({ rows, today, participations, chosen, onChosen }: PeopleTableProps) {
  const navigate = useNavigate();
  const columns: GridColDef<PersonEntry>[] = [
    {
      field: "name",
      headerName: t("Name"),
      flex: 3,
      minWidth: 230,
      renderCell: ({ row }) => (
        <TextLink component={Link} to={row.id} tabIndex={-1} sx={{ color: "text.primary", fontWeight: 700 }}>
          {row.name}
        </TextLink>
      ),
    },
    {
      field: "state",
      headerName: t("Takes part in"),
      flex: 1,
      minWidth: 180,
      valueGetter: (_, row) => takesPart(participations, row.id),
      renderCell: ({ row, value }) => {
        const heldOut = participations?.get(row.id)?.heldOut;
        return (
          <Box
            component="span"
            sx={{ display: "flex", gap: 0.75, alignItems: "center", ...(heldOut ? { color: "error.main", fontWeight: 700 } : {}) }}
          >
            {heldOut && <Ban size={18} aria-hidden />}
            {value as string}
          </Box>
        );
      },
    },
    { field: "badge", headerName: t("Badge"), width: 110 },
    {
      field: "handedness",
      headerName: t("Main hand"),
      width: 110,
      renderCell: ({ row }) => (row.handedness ? <SideMark side={row.handedness} /> : "–"),
    },
    {
      field: "language",
      headerName: t("Reads"),
      width: 120,
      valueFormatter: (language: Language | null) => (language ? LANGUAGE_FACTS[language].ownName : "–"),
    },
    { field: "startedOn", headerName: t("First day"), width: 140, valueFormatter: (day: string | null) => (day ? wholeDayText(day) : "–") },
    {
      field: "leftOn",
      headerName: t("Last day"),
      width: 170,
      renderCell: ({ row }) =>
        row.leftOn === null
          ? "–"
          : hasLeft(row, today)
            ? wholeDayText(row.leftOn)
            : t("until {{leftOn}}", { leftOn: wholeDayText(row.leftOn) }),
    },
  ];
  return (
    <DataGrid
      aria-label={t("People of this crew")}
      rows={rows}
      columns={columns}
      rowHeight={52}
      hideFooter={rows.length <= 100}
      checkboxSelection
      rowSelectionModel={{ type: "include", ids: chosen as Set<string> }}
      onRowSelectionModelChange={({ type, ids }) => {
        const next = type === "include" ? [...ids] : rows.map(({ id }) => id).filter((id) => !ids.has(id));
        // Whoever is chosen and not shown stays chosen.
        const hidden = [...chosen].filter((id) => !rows.some((row) => row.id === id));
        onChosen(new Set([...hidden, ...next.map(String)]));
      }}
      keepNonExistentRowsSelected
      disableRowSelectionOnClick
      disableColumnMenu
      onRowClick={({ id }) => void navigate(String(id))}
      onCellKeyDown={({ id, field }, event) => {
        if (event.key === "Enter" && field !== "__check__") void navigate(String(id));
      }}
      initialState={{ sorting: { sortModel: [{ field: "name", sort: "asc" }] } }}
      sx={{
        border: 0,
        fontSize: "1rem",
        "--DataGrid-rowBorderColor": "var(--mui-palette-line)",
        "& .MuiDataGrid-columnHeaders": { borderBottom: "2px solid var(--mui-palette-line)" },
        "--DataGrid-containerBackground": "transparent",
        "& .MuiDataGrid-row": { cursor: "pointer" },
        "& .MuiDataGrid-cell": { display: "flex", alignItems: "center" },
        maxWidth: 1280,
      }}
    />
  );
}
