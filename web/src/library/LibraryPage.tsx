/** The library: every movement, to find by what it works, where it fits and what posture it undoes. */
import { Box, Button, InputAdornment, MenuItem, TextField, Typography } from "@mui/material";
import { PencilRuler, Search } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useSearchParams } from "react-router";
import {
  filterMovements,
  KIT_KINDS,
  LOAD_SCHOOLS,
  PHASES,
  REGIONS,
  SETTINGS,
  STRETCH_SCHOOLS,
  WORK_POSTURES,
  type KitKind,
  type LoadSchool,
  type Movement,
  type Phase,
  type Region,
  type Setting,
  type StretchSchool,
  type WorkPosture,
} from "@kind-grip/core/library";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { Empty } from "../parts/Empty";
import { PageTitle } from "../parts/PageTitle";
import { Toggle } from "../parts/Toggle";
import { MovementThumb } from "../figure/MovementThumb";
import { CoachingCards } from "./CoachingCards";
import { movementText } from "./movement-text";
import { MovementImport } from "./MovementImport";
import { useOffered } from "./use-offered";

export default function LibraryPage() {
  const words = useWords();
  const offered = useOffered();
  const [search, setSearch] = useSearchParams();
  const [text, setText] = useState(search.get("q") ?? "");
  const list = <T extends string>(key: string) => (search.get(key)?.split(",").filter(Boolean) ?? []) as T[];
  const set = (key: string, value: string) =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        return next;
      },
      { replace: true },
    );

  const setting = search.get("setting") as Setting | null;
  const kit = search.get("kit") as KitKind | "none" | null;
  const found = useMemo(() => {
    const place =
      setting || kit ? { settings: setting ? [setting] : SETTINGS, kit: kit === "none" ? [] : kit ? [kit] : KIT_KINDS } : undefined;
    const passed = filterMovements(
      offered,
      {
        text: search.get("q") ?? "",
        phases: list<Phase>("phase"),
        regions: list<Region>("region"),
        reverses: list<WorkPosture>("reverses"),
        school: (search.get("style") ?? undefined) as StretchSchool | LoadSchool | undefined,
        place,
      },
      (movement) => movementText(words, movement),
    );
    return kit && kit !== "none"
      ? passed.filter((movement) => movement.kit.includes(kit) || movement.forms.some((form) => form.kit.includes(kit)))
      : passed;
    // oxlint-disable-next-line react/exhaustive-deps -- the address holds every filter
  }, [search, offered]);
  const phases = list<Phase>("phase");

  return (
    <>
      <PageTitle title={t("Library")} lead={t("{{found}} of {{offered}} movements", { found: found.length, offered: offered.length })}>
        {[...search.keys()].length > 0 && (
          <Button
            onClick={() => {
              setSearch({}, { replace: true });
              setText("");
            }}
          >
            {t("Clear filters")}
          </Button>
        )}
        <MovementImport />
        <Button component={Link} to="/library/studio" variant="contained" startIcon={<PencilRuler size={20} />}>
          {t("Make your own")}
        </Button>
      </PageTitle>
      <Box sx={{ display: "grid", gap: 1.5, mb: 3 }}>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }} role="group" aria-label={t("Phase")}>
          {PHASES.map((phase) => (
            <Toggle
              key={phase}
              label={words.label("phase", phase)}
              pressed={phases.includes(phase)}
              onChange={(on) => set("phase", (on ? [...phases, phase] : phases.filter((each) => each !== phase)).join(","))}
            />
          ))}
        </Box>
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr", lg: "1.2fr repeat(5, 1fr)" }, gap: 1.5 }}>
          <TextField
            label={t("Find")}
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              set("q", event.target.value);
            }}
            slotProps={{
              input: {
                startAdornment: (
                  <InputAdornment position="start">
                    <Search size={18} />
                  </InputAdornment>
                ),
              },
            }}
          />
          <Filter
            label={t("Region")}
            all={t("Any region")}
            value={search.get("region") ?? ""}
            options={REGIONS.map((region) => [region, words.label("region", region)])}
            onChange={(value) => set("region", value)}
          />
          <Filter
            label={t("Undoes the posture")}
            all={t("Any posture")}
            value={search.get("reverses") ?? ""}
            options={WORK_POSTURES.map((posture) => [posture, words.label("posture", posture)])}
            onChange={(value) => set("reverses", value)}
          />
          <Filter
            label={t("Style")}
            all={t("Any style")}
            value={search.get("style") ?? ""}
            options={[
              ...STRETCH_SCHOOLS.map((school): [string, string] => [school, words.label("stretchSchool", school)]),
              ...LOAD_SCHOOLS.map((school): [string, string] => [school, words.label("loadSchool", school)]),
            ]}
            onChange={(value) => set("style", value)}
          />
          <Filter
            label={t("Place")}
            all={t("Any place")}
            value={setting ?? ""}
            options={SETTINGS.map((each) => [each, words.label("setting", each)])}
            onChange={(value) => set("setting", value)}
          />
          <Filter
            label={t("Kit")}
            all={t("Any kit")}
            value={kit ?? ""}
            options={[["none", t("No kit at all")], ...KIT_KINDS.map((kind): [string, string] => [kind, words.label("kit", kind)])]}
            onChange={(value) => set("kit", value)}
          />
        </Box>
      </Box>
      {found.length === 0 ? (
        <Empty title={t("No movement fits all of these")} text={t("Take a filter off; place and kit are the strictest.")} />
      ) : (
        PHASES.filter((phase) => found.some((movement) => movement.phase === phase)).map((phase) => (
          <PhaseList key={phase} phase={phase} movements={found.filter((movement) => movement.phase === phase)} />
        ))
      )}
      <CoachingCards />
    </>
  );
}

function Filter({
  label,
  all,
  value,
  options,
  onChange,
}: {
  label: string;
  all: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChange(value: string): void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="">{all}</MenuItem>
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

function PhaseList({ phase, movements }: { phase: Phase; movements: readonly Movement[] }) {
  const words = useWords();
  return (
    <Box component="section" aria-label={words.label("phase", phase)} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, pb: 3 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, mb: 1.5 }}>
        <Typography variant="h2">{words.label("phase", phase)}</Typography>
        <Typography sx={{ color: "text.secondary" }}>{movements.length}</Typography>
      </Box>
      <Box
        component="ul"
        sx={{ listStyle: "none", p: 0, m: 0, display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(188px, 1fr))", gap: 2.5 }}
      >
        {movements.map((movement) => (
          <MovementCard key={movement.id} movement={movement} />
        ))}
      </Box>
    </Box>
  );
}

function MovementCard({ movement }: { movement: Movement }) {
  const text = useWords().movement(movement.id);
  return (
    <Box component="li" sx={{ contentVisibility: "auto", containIntrinsicSize: "188px 210px" }}>
      <Box
        component={Link}
        to={`/library/${movement.id}`}
        sx={{ display: "block", color: "inherit", textDecoration: "none", "&:hover .name": { textDecoration: "underline" } }}
      >
        <MovementThumb movementId={movement.id} />
        <Typography className="name" sx={{ fontWeight: 700, fontSize: "1.05rem", lineHeight: 1.25, mt: 0.75 }}>
          {text.name}
        </Typography>
        <Typography sx={{ color: "text.secondary", fontSize: "0.9375rem", lineHeight: 1.3 }}>{text.feel}</Typography>
      </Box>
    </Box>
  );
}
