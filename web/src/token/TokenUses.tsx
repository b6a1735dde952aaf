/** What a token was used for, a line a day and kind of call. */
import { Typography } from "@mui/material";
import { DateTime } from "luxon";
import { dateText, wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { descriptionApi } from "../description/api";
import { operationsOf } from "../description/operations";
import { Loaded } from "../parts/Loaded";
import { Table } from "../parts/Table";
import { tokenApi } from "./api";

export function TokenUses({ tokenId, name }: { tokenId: string; name: string }) {
  const query = tokenApi.useApiTokenUsesQuery(tokenId);
  const { data: description } = descriptionApi.useDescriptionQuery();
  const summaries = new Map((description ? operationsOf(description) : []).map(({ id, summary }) => [id, summary]));
  return (
    <Loaded query={query}>
      {(uses) =>
        uses.length === 0 ? (
          <Typography sx={{ mt: 1.5 }}>{t("Nothing yet.")}</Typography>
        ) : (
          <Table
            caption={t("What {{name}} did, for 90 days", { name })}
            head={[t("Day"), t("What"), t("Answered"), t("Refused"), t("Last")]}
            rows={uses.map(({ day, operation, answered, refused, lastAt }) => ({
              key: `${day} ${operation}`,
              cells: [
                wholeDayText(day),
                summaries.get(operation) ?? operation,
                answered,
                refused,
                dateText(DateTime.fromISO(lastAt), "HH:mm"),
              ],
            }))}
          />
        )
      }
    </Loaded>
  );
}
