/** A crew member's phone with its pages, a day it keeps and a server that answers what the test says. */
import { act, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";
import type { Session } from "@kind-grip/core/session";
import DayPage from "../member/DayPage";
import FollowPage from "../member/FollowPage";
import PhoneFrame from "../member/PhoneFrame";
import { phone, type Waiting } from "../member/phone-store";
import TellPage from "../member/TellPage";
import { takeDay } from "../member/use-phone";
import { emptyMemberDay } from "./member-day";
import { sampleId, sampleSession } from "./sample";
import { showPage, TestServer } from "./screen";

export const entryOf = (session: Session = sampleSession(["palm-away", "shake-out"], { name: "Break", slot: "break" })): MemberSession => ({
  placementId: null,
  programId: sampleId(),
  startsAt: null,
  totalSec: 120,
  session,
  done: false,
  ended: false,
});

/** Of today, with one session for any time. */
export const dayWith = (change: Partial<MemberDay> = {}): MemberDay =>
  emptyMemberDay({ now: new Date().toISOString(), today: new Date().toISOString().slice(0, 10), anyTime: [entryOf()], ...change });

export const checkIn = (id: string, owner: string): Waiting => ({
  kind: "check-ins",
  owner,
  body: { id, day: "2020-01-01", level: 1, regions: [], tingling: false, stillThere: null },
});

const PAGES = (
  <Routes>
    <Route path="me" element={<PhoneFrame />}>
      <Route index element={<DayPage />} />
      <Route path="tell" element={<TellPage />} />
      <Route path="session/:sessionId" element={<FollowPage />} />
    </Route>
    <Route path="me/sign-in" element={<p>sign in here</p>} />
  </Routes>
);

/** @param kept the day it has from before; the server answers with the same unless `answers` says otherwise */
export async function startPhone(
  kept: MemberDay,
  { answers = {}, away = false, at = "/me" }: { answers?: object; away?: boolean; at?: string } = {},
) {
  await takeDay(kept);
  const server = new TestServer({ "GET /member/day": kept, ...answers });
  server.away = away;
  return { server, ...showPage(PAGES, { at, path: "*", knowsMe: false }) };
}

/** The same, with the day on its screen. */
export async function openPhone(kept: MemberDay, answers: object = {}, away = false) {
  const shown = await startPhone(kept, { answers, away });
  await screen.findByRole("heading", { name: /Hello/ });
  return shown;
}

export const emptyPhone = () =>
  act(async () => {
    await phone.kept.clear();
    await phone.outbox.clear();
  });
