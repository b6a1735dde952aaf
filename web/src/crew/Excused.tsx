/** Days somebody is excused: nothing is due then, and nothing counts as missed. */
import { Box, Button, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { problemOf } from "../base/api";
import { useTellFailure } from "../base/tell-failure";
import { crewApi } from "./api";
import { DateField } from "../parts/DateField";

export function Excused({ crewId, personId, today }: { crewId: string; personId: string; today: string }) {
  const all = crewApi.useAbsencesQuery(crewId).data ?? [];
  const [add, { error, isLoading }] = crewApi.useAddAbsenceMutation();
  const told = useTellFailure();
  const [remove] = crewApi.useRemoveAbsenceMutation();
  const [from, setFrom] = useState(today);
  const [until, setUntil] = useState(today);
  const problem = error ? problemOf(error) : undefined;
  return (
    <Box component="section" aria-label={t("Excused days")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {t("Excused days")}
      </Typography>
      {all
        .filter((absence) => absence.personId === personId)
        .map((absence) => (
          <Box key={absence.id} sx={{ display: "flex", alignItems: "center", minHeight: 44 }}>
            <Typography sx={{ flex: 1 }}>
              {absence.from === absence.until
                ? wholeDayText(absence.from)
                : t("{{from}} to {{until}}", { from: wholeDayText(absence.from), until: wholeDayText(absence.until) })}
            </Typography>
            <Button
              type="button"
              startIcon={<Trash2 size={18} />}
              aria-label={t("Take back {{from}} to {{until}}", { from: wholeDayText(absence.from), until: wholeDayText(absence.until) })}
              onClick={() => void told(remove({ crewId, id: absence.id }))}
            >
              {t("Take back")}
            </Button>
          </Box>
        ))}
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "flex-start" }}>
        <DateField label={t("From")} value={from} onChange={(date) => setFrom(date ?? "")} inForm />
        <DateField
          label={t("Until")}
          value={until}
          onChange={(date) => setUntil(date ?? "")}
          inForm
          error={!!problem}
          helperText={problem?.fields[0]?.message ?? problem?.message}
        />
        <Button
          type="button"
          variant="outlined"
          disabled={isLoading || !from || !until}
          onClick={() => void add({ crewId, id: uuid(), personId, from, until })}
        >
          {t("Excuse")}
        </Button>
      </Box>
    </Box>
  );
}
