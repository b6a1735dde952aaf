/** A day to type or to choose from a calendar, in the order and with the first day of the week whoever types is used to. */
import { Box, type SxProps } from "@mui/material";
import { AdapterLuxon } from "@mui/x-date-pickers/AdapterLuxon";
import { DatePicker } from "@mui/x-date-pickers/DatePicker";
import { LocalizationProvider } from "@mui/x-date-pickers/LocalizationProvider";
import type { DateValidationError } from "@mui/x-date-pickers/models";
import { CalendarDays } from "lucide-react";
import { DateTime } from "luxon";
import { useMemo, useRef, useState } from "react";
import { datePattern } from "@kind-grip/core/units";
import { wholeDayText } from "../base/dates";
import { MEASURES } from "../base/measures";
import { t } from "../base/words";

interface DateFieldProps {
  /** Above the field. */
  label?: string;
  /** Of a field without a label. */
  name?: string;
  /** ISO; null or empty for none. */
  value: string | null;
  /** A whole day that is in range; null where it was emptied; in a form, an empty text where what is typed is no day in range. */
  onChange(date: string | null): void;
  /** It cannot be emptied. */
  required?: boolean;
  /** A button sends it later: every change counts at once, and what is no day in range is told, so that it is not sent. */
  inForm?: boolean;
  /** ISO, both included. */
  min?: string;
  max?: string;
  /** What is wrong with the day that is kept. */
  error?: boolean;
  helperText?: string;
  sx?: SxProps;
}

/** English, whose weeks begin on the day wanted. */
const LOCALE = { monday: "en-GB", sunday: "en-US", saturday: "en-EG" }[MEASURES.weekStart];
const PATTERN = datePattern("d LLL yyyy", MEASURES);
const FIRST_YEAR = DateTime.fromISO("1900-01-01");

const dayOf = (date: string | null | undefined) => (date ? DateTime.fromISO(date) : null);

/** The library's own input is drawn apart from that of the other fields. */
const LIKE_OTHER_FIELDS = {
  "& .MuiPickersInputBase-root": { bgcolor: "background.paper", minHeight: 44 },
  "& .MuiPickersInputBase-root fieldset": { borderWidth: 2, top: 0 },
  "& .MuiPickersInputBase-root:not(.Mui-error, .Mui-focused) fieldset": { borderColor: "edge" },
  "& fieldset legend": { display: "none" },
  // The part that is typed in is marked; the ring goes round the whole field.
  "& [role='spinbutton']:focus-visible": { outline: "none !important" },
  "& .MuiPickersInputBase-root:has([role='spinbutton']:focus-visible)": {
    outline: "3px solid var(--mui-palette-warm-dark)",
    outlineOffset: 2,
  },
} as const;

/** What opens the calendar. */
const PickerIcon = () => <CalendarDays size={20} aria-hidden />;

export function DateField({
  label,
  name,
  value,
  onChange,
  required = false,
  inForm = false,
  min,
  max,
  error = false,
  helperText,
  sx = {},
}: DateFieldProps) {
  const kept = useMemo(() => dayOf(value), [value]);
  /** What is typed and not kept yet. */
  const [typed, setTyped] = useState<DateTime | null>();
  const [problem, setProblem] = useState<DateValidationError>(null);
  const [asked, setAsked] = useState(false);
  const open = useRef(false);
  const [least, most] = useMemo(() => [dayOf(min) ?? FIRST_YEAR, dayOf(max) ?? undefined], [min, max]);
  const box = useRef<HTMLDivElement>(null);
  const keep = (day: DateTime | null | undefined, wrong: DateValidationError, half = false) => {
    if (day === undefined && !half) return;
    const stays = half || wrong !== null || (day === null && required);
    setAsked(stays);
    if (!stays) setTyped(undefined);
    if (!stays) tell(day?.toISODate() ?? null);
    else if (inForm) tell("");
  };
  const tell = (date: string | null) => {
    const isNone = date === null && !value;
    if (date !== value && !isNone) onChange(date);
  };
  const leave = () => keep(typed, problem, isHalfTyped(box.current!));
  const wrong = asked ? problemText(problem, min, max, inForm ? null : value) : undefined;
  return (
    <Box
      ref={box}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) leave();
      }}
      // Before the library sends the form the field is in.
      onKeyDownCapture={(event) => {
        if (event.key === "Enter") leave();
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape" && typed !== undefined) {
          event.stopPropagation();
          setTyped(undefined);
          setAsked(false);
        }
      }}
      sx={[LIKE_OTHER_FIELDS, ...(Array.isArray(sx) ? sx : [sx])]}
    >
      <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale={LOCALE}>
        <DatePicker
          label={label}
          format={PATTERN}
          value={typed === undefined ? kept : typed}
          minDate={least}
          maxDate={most}
          onChange={(day, { validationError }) => {
            setTyped(day);
            setProblem(validationError);
            setAsked(false);
            if (inForm) tell(validationError === null ? (day?.toISODate() ?? null) : "");
          }}
          onOpen={() => (open.current = true)}
          onClose={() => (open.current = false)}
          onAccept={(day, { validationError }) => {
            // What is typed is accepted letter by letter; it is kept when whoever types goes on.
            if (open.current) keep(day, validationError);
          }}
          slots={{ openPickerIcon: PickerIcon }}
          slotProps={{
            // It says the day a second time, in an order of its own.
            toolbar: { hidden: true },
            field: { clearable: !required, shouldRespectLeadingZeros: true },
            textField: {
              size: "small",
              fullWidth: true,
              error: error || wrong !== undefined,
              helperText: wrong ?? helperText,
              ...(name && { "aria-label": name }),
            },
          }}
        />
      </LocalizationProvider>
    </Box>
  );
}

/** Whether some of its parts are typed and others are not: the library takes that for an empty field. */
function isHalfTyped(field: HTMLElement): boolean {
  const parts = [...field.querySelectorAll("[role='spinbutton']")];
  const typed = parts.filter((part) => part.hasAttribute("aria-valuenow")).length;
  return typed > 0 && typed < parts.length;
}

/** @param kept the day that counts until this one is right */
function problemText(problem: DateValidationError, min: string | undefined, max: string | undefined, kept: string | null): string {
  const text =
    problem === "minDate" && min
      ? t("must be {{day}} or later", { day: wholeDayText(min) })
      : problem === "maxDate" && max
        ? t("must be {{day}} or earlier", { day: wholeDayText(max) })
        : t("is not a whole day, e.g. {{day}}", { day: wholeDayText("2026-03-26") });
  return kept ? t("{{text}}. Until then {{day}} counts.", { text, day: wholeDayText(kept) }) : text;
}
