/** One person's record in a round as it is edited. Health answers wait in this tab only, never in the browser's lasting store. */
import { emptyRecord, RECORD_DOCUMENT, type BaselineRecord } from "@kind-grip/core/baseline";
import type { RecordEntry } from "@kind-grip/core/api";
import { baselineApi } from "./api";
import { useOwner } from "../base/api";
import { useDocument } from "../document/use-document";

export function useRecord(roundId: string, personId: string, entry: RecordEntry | undefined) {
  const owner = useOwner();
  const [save] = baselineApi.useSaveRecordMutation();
  return useDocument<BaselineRecord>({
    draft: {
      storage: sessionStorage,
      owner,
      id: `${roundId}/${personId}`,
      of: RECORD_DOCUMENT,
      former: { key: `kind-grip.round.${roundId}.${personId}`, valueAs: "value" },
    },
    start: { version: entry?.version ?? 0, value: entry?.record ?? emptyRecord() },
    takesNewer: true,
    save: (version, record) => save({ roundId, personId, version, record }),
    theirsFrom: (detail) => {
      const newer = detail as RecordEntry | undefined;
      return newer?.record ? { version: newer.version, value: newer.record } : null;
    },
  });
}
export type EditedRecord = ReturnType<typeof useRecord>;
