/** What is said in the trainer's own words where a reason for holding somebody out is none of the listed ones. */
import { TextField } from "@mui/material";
import type { RestrictionReason } from "@kind-grip/core/safety";
import { t } from "../base/words";

const LEAST = 3;
const MOST = 600;

/** The words that go with a reason; null where the reason says it already. */
export const ownWords = (reason: RestrictionReason, words: string): string | null => (reason === "other" ? words.trim() : null);

/** Whether nothing more has to be said about the reason. */
export const isSaid = (reason: RestrictionReason, words: string): boolean => reason !== "other" || words.trim().length >= LEAST;

export function ReasonWords({
  reason,
  words,
  onChange,
}: {
  reason: RestrictionReason | null;
  words: string;
  onChange(words: string): void;
}) {
  if (reason !== "other") return null;
  return (
    <TextField
      label={t("What it is, in words")}
      value={words}
      onChange={(event) => onChange(event.target.value.slice(0, MOST))}
      helperText={t("Stands on the referral note.")}
    />
  );
}
