/** One person's record in a round as it is edited. Health answers wait in this tab only, never in the browser's lasting store. */
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { serverApi, type RecordEntry } from "../app/api";
import { useKeptDocument } from "../parts/kept-document";

export function useRecord(roundId: string, personId: string, entry: RecordEntry | undefined) {
  const [save] = serverApi.useSaveRecordMutation();
  return useKeptDocument<BaselineRecord>({
    key: `kind-grip.round.${roundId}.${personId}`,
    storage: sessionStorage,
    start: { version: entry?.version ?? 0, value: entry?.record ?? emptyRecord() },
    save: (version, record) => save({ roundId, personId, version, record }),
    theirsFrom: (detail) => {
      const newer = detail as RecordEntry | undefined;
      return newer?.record ? { version: newer.version, value: newer.record } : null;
    },
  });
}
export type EditedRecord = ReturnType<typeof useRecord>;
