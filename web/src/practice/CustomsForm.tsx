/** What the crews read, how quantities, times and dates are written for everybody, and what oneself is used to. Kept as it is chosen. */
import { Box, Button, Link as TextLink, MenuItem, TextField, Typography } from "@mui/material";
import { isEqual } from "es-toolkit";
import { ArrowRight } from "lucide-react";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import type { Customs } from "@kind-grip/core/api";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { problemOf, serverApi } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Loaded } from "../parts/Loaded";
import { MeasuresFields } from "../parts/MeasuresFields";
import { Toggle } from "../parts/Toggle";
import { practiceApi } from "./api";

export function CustomsForm() {
  const query = practiceApi.useCustomsQuery();
  return (
    <Box component="section" aria-label={t("Languages")} sx={{ display: "grid", gap: 2 }}>
      <Typography variant="h2">{t("Languages")}</Typography>
      <Loaded query={query}>{(customs) => <Form customs={customs} />}</Loaded>
    </Box>
  );
}

function Form({ customs }: { customs: Customs }) {
  const [save, { error }] = practiceApi.useSaveCustomsMutation();
  const dispatch = useAppDispatch();
  const change = async (part: Partial<Customs>) => {
    const next = { ...customs, ...part };
    if (isEqual(next, customs)) return;
    const { data } = await save(next);
    if (data) dispatch(notify({ text: t("Saved."), undo: () => save(customs) }));
  };
  return (
    <>
      <Typography sx={{ color: "text.secondary" }}>
        {t("What crews read and hear that have no language of their own. A crew, and each person in it, may have another one.")}
      </Typography>
      <Choice<Language>
        label={t("Language of the practice")}
        value={customs.language}
        onChange={(language) => void change({ language })}
        options={LANGUAGES.map((language) => ({ value: language, label: LANGUAGE_FACTS[language].ownName, lang: language }))}
      />
      <Readings />
      <Typography variant="h2" sx={{ mt: 2 }}>
        {t("Units, times and dates")}
      </Typography>
      <MeasuresFields measures={customs.measures} onChange={(measures) => void change({ measures })} />
      <UsualPlace customs={customs} onChange={(part) => void change(part)} />
      {error && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf(error).message}
        </Typography>
      )}
    </>
  );
}

/** What a new crew begins with. */
function UsualPlace({ customs, onChange }: { customs: Customs; onChange(part: Partial<Customs>): void }) {
  const zones = useMemo(() => ["UTC", ...Intl.supportedValuesOf("timeZone")], []);
  const [place, setPlace] = useState(customs.place ?? "");
  return (
    <>
      <Typography variant="h2" sx={{ mt: 2 }}>
        {t("Where new crews begin")}
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "minmax(0, 1fr) minmax(0, 1fr)" }, gap: 2 }}>
        <TextField
          label={t("Usual place")}
          value={place}
          onChange={(event) => setPlace(event.target.value)}
          onBlur={() => onChange({ place: place.trim() || null })}
        />
        <TextField
          select
          label={t("Usual time zone")}
          value={customs.timeZone ?? ""}
          onChange={(event) => onChange({ timeZone: event.target.value || null })}
        >
          <MenuItem value="">{t("that of the browser")}</MenuItem>
          {zones.map((zone) => (
            <MenuItem key={zone} value={zone}>
              {zone}
            </MenuItem>
          ))}
        </TextField>
      </Box>
    </>
  );
}

/** Whether a practitioner read each language through, and the way to its texts. */
function Readings() {
  const query = practiceApi.useOwnTextsQuery();
  return (
    <Loaded query={query}>
      {({ readings, corrections }) => (
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {LANGUAGES.map((language) => {
            const reading = readings.find((each) => each.language === language);
            const own = Object.keys(corrections[language] ?? {}).length;
            const { ownName, readBy } = LANGUAGE_FACTS[language];
            return (
              <Box
                component="li"
                key={language}
                sx={{
                  display: "flex",
                  flexWrap: "wrap",
                  alignItems: "center",
                  columnGap: 2,
                  borderTop: "1px solid",
                  borderColor: "line",
                  py: 1,
                }}
              >
                <Box sx={{ flex: 1, minWidth: 220 }}>
                  <Typography lang={language} sx={{ fontWeight: 700 }}>
                    {ownName}
                  </Typography>
                  <Typography sx={{ color: "text.secondary" }}>
                    {reading
                      ? t("read through by {{who}}, {{day}}", { who: reading.readBy, day: wholeDayText(reading.readOn) })
                      : (readBy ?? t("not yet read by a practitioner who speaks it"))}
                    {own > 0 && `; ${t("{{count}} texts of your own", { count: own, defaultValue_one: "{{count}} text of your own" })}`}
                  </Typography>
                </Box>
                <Button component={Link} to={`/practice/texts/${language}`} endIcon={<ArrowRight size={18} />}>
                  {t("Its texts")}
                </Button>
              </Box>
            );
          })}
          {Object.keys(corrections).length > 0 && (
            <Box component="li" sx={{ borderTop: "1px solid", borderColor: "line", py: 1 }}>
              <TextLink href="/api/practice/texts/file">{t("Your own texts as a file")}</TextLink>
            </Box>
          )}
        </Box>
      )}
    </Loaded>
  );
}

/** For oneself, whatever the practice has: the page is drawn anew in it. */
export function OwnMeasuresForm() {
  const { data: me } = serverApi.useMeQuery();
  const [save, { error }] = practiceApi.useSaveOwnMeasuresMutation();
  const account = me?.account;
  if (!account) return null;
  const own = account.ownMeasures;
  return (
    <Box component="section" aria-label={t("What I am used to")} sx={{ display: "grid", gap: 1.5, justifyItems: "start" }}>
      <Typography variant="h2">{t("What I am used to")}</Typography>
      <Toggle
        label={t("Other units, times and dates than the practice")}
        pressed={own !== null}
        onChange={(on) => void save(on ? account.measures : null)}
      />
      {own && <MeasuresFields measures={own} onChange={(measures) => void save(measures)} />}
      {error && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf(error).message}
        </Typography>
      )}
    </Box>
  );
}
