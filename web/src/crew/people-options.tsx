/** Who is in a crew now, to choose one of; a select takes its entries only as they are, not in a part of their own. */
import { MenuItem } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";

export const peopleOptions = (people: readonly PersonEntry[]) =>
  people
    .filter(({ leftOn }) => leftOn === null)
    .map(({ id, name }) => (
      <MenuItem key={id} value={id}>
        {name}
      </MenuItem>
    ));
