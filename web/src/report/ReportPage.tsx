/** The report of a crew, and everything that can be taken out of it as open files. */
import { useCrew } from "../crew/CrewFrame";
import { CrewFiles } from "./CrewFiles";
import { CrewReport } from "./CrewReport";
import { FirstAidBook } from "./FirstAidBook";

export default function ReportPage() {
  const crew = useCrew();
  return (
    <>
      <CrewReport crewId={crew.id} />
      <FirstAidBook crew={crew} />
      <CrewFiles crew={crew} />
    </>
  );
}
