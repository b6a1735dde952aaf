import { useMemo } from "react";
import { useNavigate } from "react-router";
import type { Customs } from "@kind-grip/core/api";
import type { Crew } from "@kind-grip/core/crew";
import { dateAt, mondayOf, patternPreset } from "@kind-grip/core/calendar";
import { t } from "../base/words";
import { crewApi } from "./api";
import { v7 as uuid } from "uuid";
import { problemOf } from "../base/api";
import { useNow } from "../base/now";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { practiceApi } from "../practice/api";
import { CrewForm } from "./CrewForm";

export default function NewCrewPage() {
  const customs = practiceApi.useCustomsQuery();
  return <Loaded query={customs}>{(known) => <NewCrew customs={known} />}</Loaded>;
}

function NewCrew({ customs }: { customs: Customs }) {
  const [create, { isLoading, error }] = crewApi.useCreateCrewMutation();
  const navigate = useNavigate();
  const now = useNow(3600_000);
  // One id for as long as the page is open: pressing twice makes one crew.
  const id = useMemo(() => uuid(), []);
  const from = useMemo(() => {
    const timeZone = customs.timeZone ?? (Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC");
    const crew: Crew = {
      name: "",
      trade: "",
      place: customs.place ?? "",
      timeZone,
      settings: ["any"],
      conditions: [],
      slots: { preShift: 480, break: 180, postShift: 600 },
      kit: [],
      mostOffJob: 12,
      language: null,
      shiftPattern: patternPreset("weekdays", mondayOf(dateAt(now, timeZone))),
    };
    return { version: 0, crew };
    // oxlint-disable-next-line react/exhaustive-deps -- the form keeps what it started with
  }, []);
  const submit = async (crew: Crew) => {
    const made = await create({ id, crew });
    if (made.data) await navigate(`/crews/${made.data.id}/people`);
  };
  return (
    <>
      <PageTitle title={t("New crew")} lead={t("Everything can be changed later. Only the name, trade and place are needed to go on.")} />
      <CrewForm
        from={from}
        submitLabel={t("Make the crew")}
        busy={isLoading}
        problem={error ? problemOf(error) : undefined}
        onSubmit={submit}
      />
    </>
  );
}
