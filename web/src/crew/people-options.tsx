/** Who is in a crew or will be, to choose one of; a select takes its entries only as they are, not in a part of their own. */
import { MenuItem } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";
import { hasLeft } from "@kind-grip/core/crew";

export const peopleOptions = (people: readonly PersonEntry[], today: string) =>
  people
    .filter((person) => !hasLeft(person, today))
    .map(({ id, name }) => (
      <MenuItem key={id} value={id}>
        {name}
      </MenuItem>
    ));
