/** Whose shift is looked at, where not everybody does the same. */
import { MenuItem, TextField } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";
import type { WorkDay } from "@kind-grip/core/strain";
import { listText } from "../base/measures";
import { t } from "../base/words";

/** More than these are counted. */
const NAMED = 3;

interface WayChoiceProps {
  ways: readonly WorkDay[];
  chosen: WorkDay;
  people: readonly PersonEntry[];
  onChoose(id: string): void;
}

export function WayChoice({ ways, chosen, people, onChoose }: WayChoiceProps) {
  const whose = ({ personIds }: WorkDay, nr: number): string => {
    const names = personIds.flatMap((id) => people.find((person) => person.id === id)?.name ?? []);
    if (names.length === 0) return nr === 0 ? t("whoever is in no other") : t("nobody");
    return names.length > NAMED
      ? t("{{first}} and {{count}} more", { first: listText(names.slice(0, NAMED)), count: names.length - NAMED })
      : listText(names);
  };
  return (
    <TextField
      select
      label={t("Whose shift")}
      value={chosen.id}
      onChange={({ target }) => onChoose(target.value)}
      sx={{ mb: 1.5, minWidth: 280, maxWidth: 1 }}
    >
      {ways.map((way, i) => (
        <MenuItem key={way.id} value={way.id}>
          {t("{{way}}: {{people}}", { way: way.name, people: whose(way, i) })}
        </MenuItem>
      ))}
    </TextField>
  );
}
