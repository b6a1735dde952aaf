/** A page of a crew, inside the crew's frame, with a server that knows the crew. */
import type { ReactNode } from "react";
import { Route, Routes } from "react-router";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import CrewFrame from "../crew/CrewFrame";
import { sampleToday } from "./sample";
import { showPage, SIGNED_IN, TestServer, type Answers } from "./screen";

interface CrewPageOptions {
  crew: CrewEntry;
  people?: readonly PersonEntry[];
  answers?: Answers;
  /** What follows the page's own path. */
  search?: string;
  /** The page's address where its path has places to fill. */
  at?: string;
}

/** @param path the page's own, e.g. `work` */
export function showCrewPage(page: ReactNode, path: string, { crew, people = [], answers = {}, search = "", at = path }: CrewPageOptions) {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /today": sampleToday(),
    [`GET /crews/${crew.id}`]: crew,
    [`GET /crews/${crew.id}/people`]: people,
    [`GET /crews/${crew.id}/programs`]: [],
    [`GET /crews/${crew.id}/rounds`]: [],
    [`GET /crews/${crew.id}/known-records`]: [],
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [`GET /crews/${crew.id}/contacts`]: [],
    ...answers,
  });
  const pages = (
    <>
      <Routes>
        <Route path="crews/:crewId" element={<CrewFrame />}>
          <Route path={path} element={page} />
        </Route>
      </Routes>
      <NoticeBar />
    </>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/${at}${search}`, path: "*" }) };
}
