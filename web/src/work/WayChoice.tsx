/** Whose shift is looked at, where not everybody does the same. */
import { MenuItem, TextField } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";
import type { WorkDay } from "@kind-grip/core/strain";
import { firstListText } from "../base/lists";
import { t } from "../base/words";

/** More than these are counted. */
const NAMED = 3;

interface WayChoiceProps {
  ways: readonly WorkDay[];
  chosen: WorkDay;
  people: readonly PersonEntry[];
  /** They are what is booked: the usual day of all, then each one's own. */
  booked: boolean;
  onChoose(id: string): void;
}

export function WayChoice({ ways, chosen, people, booked, onChoose }: WayChoiceProps) {
  const whose = ({ personIds }: WorkDay, nr: number): string => {
    const names = personIds.flatMap((id) => people.find((person) => person.id === id)?.name ?? []);
    if (names.length === 0) return nr === 0 ? t("whoever is in no other") : t("nobody");
    return firstListText(names, NAMED);
  };
  const ownDay = ({ personIds }: WorkDay): string =>
    personIds.length === 0
      ? t("Everybody together, on average")
      : (people.find(({ id }) => id === personIds[0])?.name ?? t("somebody who has left"));
  return (
    <TextField
      select
      label={booked ? t("Whose usual day, as it is booked") : t("Whose shift")}
      value={chosen.id}
      onChange={({ target }) => onChoose(target.value)}
      sx={{ mb: 1.5, width: 520, maxWidth: 1 }}
    >
      {ways.map((way, i) => (
        <MenuItem key={way.id} value={way.id}>
          {booked ? ownDay(way) : t("{{way}}: {{people}}", { way: way.name, people: whose(way, i) })}
        </MenuItem>
      ))}
    </TextField>
  );
}
