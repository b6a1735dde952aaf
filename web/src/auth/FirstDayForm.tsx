/** The first trainer's first page: the practice, oneself, where, in which language and units. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { METRIC, type Measures } from "@kind-grip/core/units";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { MeasuresFields } from "../parts/MeasuresFields";
import { fieldIn, type LinkFormProps } from "./link-form";
import { NewPasswordField } from "./NewPasswordField";
import { WholeProblem } from "../parts/WholeProblem";
import { SignInFrame } from "./SignInFrame";

/** As the browser's place writes them: only the United States count in pounds and inches. */
function usualMeasures(): Measures {
  return /-US\b/.test(navigator.language)
    ? { ...METRIC, mass: "lb", length: "in", clock: "12h", dateOrder: "monthDay", weekStart: "sunday" }
    : METRIC;
}

export function FirstDayForm({ token, busy, problem, onSend }: LinkFormProps) {
  const zones = useMemo(() => ["UTC", ...Intl.supportedValuesOf("timeZone")], []);
  const [typed, setTyped] = useState(() => ({
    practice: "",
    name: "",
    email: "",
    password: "",
    place: "",
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
    language: LANGUAGES.find((language) => navigator.language.startsWith(language)) ?? ("en" as Language),
    measures: usualMeasures(),
  }));
  const change = (part: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...part }));
  const field = fieldIn(problem);
  const text = (key: "practice" | "name" | "email" | "place", label: string, more: object = {}) => (
    <TextField
      label={label}
      value={typed[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      error={!!field(key)}
      helperText={field(key)}
      {...more}
    />
  );
  return (
    <SignInFrame onSubmit={() => void onSend({ kind: "first", token, ...typed })}>
      <Typography variant="h1">{t("Your practice begins")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t("A minute. Everything but the e-mail address can be changed at any time under Practice.")}
      </Typography>
      <WholeProblem problem={problem} />
      {text("practice", t("Name of the practice"), { autoFocus: true, autoComplete: "organization" })}
      {text("name", t("Your name"), { autoComplete: "name" })}
      {text("email", t("Your e-mail address"), { type: "email", autoComplete: "username" })}
      <NewPasswordField
        label={t("A password")}
        value={typed.password}
        onChange={(password) => change({ password })}
        problem={field("password")}
      />
      {text("place", t("Where your crews work as a rule"), { helperText: field("place") ?? t("A town, a site, a street; may stay empty") })}
      <TextField select label={t("Time zone")} value={typed.timeZone} onChange={(event) => change({ timeZone: event.target.value })}>
        {zones.map((zone) => (
          <MenuItem key={zone} value={zone}>
            {zone}
          </MenuItem>
        ))}
      </TextField>
      <Box>
        <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{t("What crews read and hear")}</Typography>
        <Choice<Language>
          label={t("What crews read and hear")}
          value={typed.language}
          onChange={(language) => change({ language })}
          options={LANGUAGES.map((language) => ({ value: language, label: LANGUAGE_FACTS[language].ownName, lang: language }))}
        />
      </Box>
      <MeasuresFields measures={typed.measures} onChange={(measures) => change({ measures })} />
      <Button type="submit" variant="contained" size="large" disabled={busy}>
        {busy ? t("Beginning …") : t("Begin")}
      </Button>
    </SignInFrame>
  );
}
