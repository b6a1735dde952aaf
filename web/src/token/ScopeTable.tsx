/** What a token is to be for: a row a subject, a mark for reading and one for changing. */
import { Box, Checkbox } from "@mui/material";
import type { Scope } from "@kind-grip/core/api";
import { t } from "../base/words";
import { scopeSubjects } from "./scope-words";

export function ScopeTable({ chosen, onChange }: { chosen: readonly Scope[]; onChange(scopes: Scope[]): void }) {
  const mark = (scope: Scope, label: string) => (
    <Checkbox
      checked={chosen.includes(scope)}
      onChange={(_event, on) => onChange(on ? [...chosen, scope] : chosen.filter((each) => each !== scope))}
      slotProps={{ input: { "aria-label": label } }}
    />
  );
  return (
    <Box
      component="table"
      aria-label={t("What it is for")}
      sx={{
        borderCollapse: "collapse",
        "& th, & td": { textAlign: "left", py: 0.25, pr: 1, borderTop: "1px solid", borderColor: "line", fontWeight: 400 },
        "& thead th": { border: 0, color: "text.secondary", fontWeight: 600 },
        "& th[scope=row]": { width: "100%" },
      }}
    >
      <thead>
        <tr>
          <td />
          <th scope="col">{t("Read")}</th>
          <th scope="col">{t("Change")}</th>
        </tr>
      </thead>
      <tbody>
        {scopeSubjects().map(({ name, what, read, write }) => (
          <tr key={read}>
            <th scope="row">
              <Box component="span" sx={{ fontWeight: 650 }}>
                {name}
              </Box>
              <Box component="span" sx={{ display: "block", fontSize: "0.9rem", color: "text.secondary" }}>
                {what}
              </Box>
            </th>
            <td>{mark(read, t("Read: {{subject}}", { subject: name }))}</td>
            <td>{write && mark(write, t("Change: {{subject}}", { subject: name }))}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
