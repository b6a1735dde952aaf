/** Every place has an address of its own; each loads its code when it is first visited. */
import { createBrowserRouter, Navigate, type RouteObject } from "react-router";
import { fetched } from "../base/lost-code";
import { Loading } from "../parts/Loading";
import { LostPage } from "../parts/LostPage";
import { CrashPage } from "./CrashPage";

type Page = () => Promise<{ default: React.ComponentType }>;
/** What a sign-in page has no use for comes with the first page that stands in it. */
const frame =
  (bare: boolean): RouteObject["lazy"] =>
  async () => {
    const { Frame } = await fetched(() => import("./Frame"));
    return { element: <Frame bare={bare} /> };
  };
const page =
  (load: Page): RouteObject["lazy"] =>
  async () => ({ Component: (await fetched(load)).default });

export const router = createBrowserRouter([
  { path: "/sign-in", lazy: page(() => import("../auth/SignInPage")), errorElement: <CrashPage />, HydrateFallback: Loading },
  { path: "/link", lazy: page(() => import("../auth/LinkPage")), errorElement: <CrashPage />, HydrateFallback: Loading },
  { path: "/forgotten", lazy: page(() => import("../auth/ForgottenPage")), errorElement: <CrashPage />, HydrateFallback: Loading },
  { path: "/report", lazy: page(() => import("../report/EmployerPage")), errorElement: <CrashPage />, HydrateFallback: Loading },
  { path: "/me/sign-in", lazy: page(() => import("../member/PhoneSignIn")), errorElement: <CrashPage />, HydrateFallback: Loading },
  {
    path: "/me",
    lazy: page(() => import("../member/PhoneFrame")),
    errorElement: <CrashPage />,
    HydrateFallback: Loading,
    children: [
      { index: true, lazy: page(() => import("../member/DayPage")) },
      { path: "check-in", lazy: page(() => import("../member/CheckInPage")) },
      { path: "check", lazy: page(() => import("../member/check/SelfCheckPage")) },
      { path: "tell", lazy: page(() => import("../member/TellPage")) },
      { path: "progress", lazy: page(() => import("../member/MyProgressPage")) },
      { path: "everything", lazy: page(() => import("../member/KeptPage")) },
      { path: "session/:sessionId", lazy: page(() => import("../member/FollowPage")) },
    ],
  },
  {
    path: "/crews/:crewId/run/:programId/:sessionId",
    lazy: frame(true),
    errorElement: <CrashPage />,
    HydrateFallback: Loading,
    children: [{ index: true, lazy: page(() => import("../run/RunPage")) }],
  },
  {
    path: "/crews/:crewId/work/observe",
    lazy: frame(true),
    errorElement: <CrashPage />,
    HydrateFallback: Loading,
    children: [{ index: true, lazy: page(() => import("../observe/ObservePage")) }],
  },
  {
    path: "/",
    lazy: frame(false),
    errorElement: <CrashPage />,
    HydrateFallback: Loading,
    children: [
      { index: true, element: <Navigate to="/today" replace /> },
      { path: "today", lazy: page(() => import("../today/TodayPage")) },
      { path: "week", lazy: page(() => import("../ownweek/OwnWeekPage")) },
      { path: "week/:weekStart", lazy: page(() => import("../ownweek/OwnWeekPage")) },
      { path: "library", lazy: page(() => import("../library/LibraryPage")) },
      { path: "library/studio", lazy: page(() => import("../studio/StudioPage")) },
      { path: "library/studio/:customId", lazy: page(() => import("../studio/StudioPage")) },
      { path: "library/:movementId", lazy: page(() => import("../library/MovementPage")) },
      { path: "bench", element: <Navigate to="/bench/lever" replace /> },
      { path: "bench/:tool", lazy: page(() => import("../bench/BenchPage")) },
      { path: "practice/texts/:language", lazy: page(() => import("../practice/TextsPage")) },
      { path: "practice/measuring", lazy: page(() => import("../baseline/MeasuringPage")) },
      { path: "practice/tokens", lazy: page(() => import("../token/TokensPage")) },
      { path: "practice/api", lazy: page(() => import("../description/DescriptionPage")) },
      { path: "practice", lazy: page(() => import("../practice/PracticePage")) },
      { path: "crews", lazy: page(() => import("../crew/CrewsPage")) },
      { path: "crews/new", lazy: page(() => import("../crew/NewCrewPage")) },
      {
        path: "crews/:crewId",
        lazy: page(() => import("../crew/CrewFrame")),
        children: [
          { index: true, element: <Navigate to="people" replace /> },
          { path: "settings", lazy: page(() => import("../crew/CrewSettingsPage")) },
          { path: "people", lazy: page(() => import("../crew/PeoplePage")) },
          { path: "people/import", lazy: page(() => import("../crew/RosterImportPage")) },
          { path: "people/cards", lazy: page(() => import("../crew/CardsPage")) },
          { path: "people/held-out", lazy: page(() => import("../safety/RestrictionsPage")) },
          { path: "people/:personId", lazy: page(() => import("../record/PersonPage")) },
          { path: "work", lazy: page(() => import("../work/WorkPage")) },
          { path: "work/briefing", lazy: page(() => import("../work/BriefingPage")) },
          { path: "baseline", lazy: page(() => import("../baseline/RoundsPage")) },
          { path: "baseline/:roundId", lazy: page(() => import("../baseline/RoundPage")) },
          { path: "baseline/:roundId/crew", lazy: page(() => import("../baseline/CrewChangesPage")) },
          { path: "baseline/:roundId/findings", lazy: page(() => import("../baseline/FindingsPage")) },
          { path: "program", lazy: page(() => import("../program/ProgramsPage")) },
          { path: "program/compose", lazy: page(() => import("../compose/ComposePage")) },
          { path: "program/templates", lazy: page(() => import("../template/TemplatesPage")) },
          { path: "program/:programId", lazy: page(() => import("../program/ProgramPage")) },
          { path: "program/:programId/hand-out", lazy: page(() => import("../program/HandOutPage")) },
          { path: "program/:programId/block", lazy: page(() => import("../program/BlockPage")) },
          { path: "day-plan", lazy: page(() => import("../dayplan/DayPlanPage")) },
          { path: "day-plan/:weekStart", lazy: page(() => import("../dayplan/DayPlanPage")) },
          { path: "bookings", lazy: page(() => import("../booking/BookingsPage")) },
          { path: "bookings/:date", lazy: page(() => import("../booking/BookingsPage")) },
          { path: "runs", lazy: page(() => import("../run/RunsPage")) },
          { path: "runs/:runId", lazy: page(() => import("../run/RunRecordPage")) },
          { path: "progress", lazy: page(() => import("../progress/ProgressPage")) },
          { path: "report", lazy: page(() => import("../report/ReportPage")) },
        ],
      },
      { path: "*", element: <LostPage /> },
    ],
  },
]);
