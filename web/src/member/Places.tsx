/** Where it is: the places as somebody without the names of muscles would point at them. */
import { Box } from "@mui/material";
import { REGIONS, type Region } from "@kind-grip/core/library";
import { useWords } from "../base/library";
import { Toggle } from "../parts/Toggle";

export function Places({ label, value, onChange }: { label: string; value: readonly Region[]; onChange(value: Region[]): void }) {
  const words = useWords();
  return (
    <Box role="group" aria-label={label} sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
      {REGIONS.map((region) => (
        <Toggle
          key={region}
          label={words.label("place", region)}
          pressed={value.includes(region)}
          onChange={(on) => onChange(on ? [...value, region] : value.filter((each) => each !== region))}
        />
      ))}
    </Box>
  );
}
