/** Every place has an address of its own; each loads its code when it is first visited. */
import { Suspense } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { matchRoutes, Navigate, useLocation, useRoutes, type RouteObject } from "react-router";
import { fetchedPart, type FetchedPart } from "../base/fetched-part";
import { Loading } from "../parts/Loading";
import { LostPage } from "../parts/LostPage";
import { CrashPage } from "./CrashPage";

/** What is shown at a place: its code is fetched as soon as somebody goes there, together with that of everything round it. */
export function place<Props extends object>(part: FetchedPart<Props>, props: Props): Pick<RouteObject, "element" | "handle"> {
  return { element: <part.Shown {...props} />, handle: part };
}
const page = (load: () => Promise<{ default: React.ComponentType }>) => place(fetchedPart(load), {});
/** What a sign-in page has no use for comes with the first page that stands in it. */
const Frame = fetchedPart(async () => ({ default: (await import("./Frame")).Frame }));
const frame = (bare: boolean) => place(Frame, { bare });

const PLACES: RouteObject[] = [
  { path: "/sign-in", ...page(() => import("../auth/SignInPage")) },
  { path: "/link", ...page(() => import("../auth/LinkPage")) },
  { path: "/forgotten", ...page(() => import("../auth/ForgottenPage")) },
  { path: "/report", ...page(() => import("../report/EmployerPage")) },
  { path: "/me/sign-in", ...page(() => import("../member/PhoneSignIn")) },
  {
    path: "/me",
    ...page(() => import("../member/PhoneFrame")),
    children: [
      { index: true, ...page(() => import("../member/DayPage")) },
      { path: "check-in", ...page(() => import("../member/CheckInPage")) },
      { path: "check", ...page(() => import("../member/check/SelfCheckPage")) },
      { path: "tell", ...page(() => import("../member/TellPage")) },
      { path: "progress", ...page(() => import("../member/MyProgressPage")) },
      { path: "everything", ...page(() => import("../member/KeptPage")) },
      { path: "session/:sessionId", ...page(() => import("../member/FollowPage")) },
      // An address of the phone that is none is not the trainers' to sign in to.
      { path: "*", element: <Navigate to="/me" replace /> },
    ],
  },
  {
    path: "/crews/:crewId/run/:programId/:sessionId",
    ...frame(true),
    children: [{ index: true, ...page(() => import("../run/RunPage")) }],
  },
  {
    path: "/crews/:crewId/work/observe",
    ...frame(true),
    children: [{ index: true, ...page(() => import("../observe/ObservePage")) }],
  },
  {
    path: "/",
    ...frame(false),
    children: [
      { index: true, element: <Navigate to="/today" replace /> },
      { path: "today", ...page(() => import("../today/TodayPage")) },
      { path: "week", ...page(() => import("../ownweek/OwnWeekPage")) },
      { path: "week/:weekStart", ...page(() => import("../ownweek/OwnWeekPage")) },
      { path: "library", ...page(() => import("../library/LibraryPage")) },
      { path: "library/studio", ...page(() => import("../studio/StudioPage")) },
      { path: "library/studio/:customId", ...page(() => import("../studio/StudioPage")) },
      { path: "library/:movementId", ...page(() => import("../library/MovementPage")) },
      { path: "bench", element: <Navigate to="/bench/lever" replace /> },
      { path: "bench/:tool", ...page(() => import("../bench/BenchPage")) },
      { path: "practice/texts/:language", ...page(() => import("../practice/TextsPage")) },
      { path: "practice/measuring", ...page(() => import("../baseline/MeasuringPage")) },
      { path: "practice/tokens", ...page(() => import("../token/TokensPage")) },
      { path: "practice/api", ...page(() => import("../description/DescriptionPage")) },
      { path: "practice", ...page(() => import("../practice/PracticePage")) },
      { path: "crews", ...page(() => import("../crew/CrewsPage")) },
      { path: "crews/new", ...page(() => import("../crew/NewCrewPage")) },
      {
        path: "crews/:crewId",
        ...page(() => import("../crew/CrewFrame")),
        children: [
          { index: true, element: <Navigate to="people" replace /> },
          { path: "settings", ...page(() => import("../crew/CrewSettingsPage")) },
          { path: "people", ...page(() => import("../crew/PeoplePage")) },
          { path: "people/import", ...page(() => import("../crew/RosterImportPage")) },
          { path: "people/cards", ...page(() => import("../crew/CardsPage")) },
          { path: "people/held-out", ...page(() => import("../safety/RestrictionsPage")) },
          { path: "people/:personId", ...page(() => import("../record/PersonPage")) },
          { path: "work", ...page(() => import("../work/WorkPage")) },
          { path: "work/briefing", ...page(() => import("../work/BriefingPage")) },
          { path: "baseline", ...page(() => import("../baseline/RoundsPage")) },
          { path: "baseline/:roundId", ...page(() => import("../baseline/RoundPage")) },
          { path: "baseline/:roundId/crew", ...page(() => import("../baseline/CrewChangesPage")) },
          { path: "baseline/:roundId/findings", ...page(() => import("../baseline/FindingsPage")) },
          { path: "program", ...page(() => import("../program/ProgramsPage")) },
          { path: "program/compose", ...page(() => import("../compose/ComposePage")) },
          { path: "program/templates", ...page(() => import("../template/TemplatesPage")) },
          { path: "program/:programId", ...page(() => import("../program/ProgramPage")) },
          { path: "program/:programId/hand-out", ...page(() => import("../program/HandOutPage")) },
          { path: "program/:programId/block", ...page(() => import("../program/BlockPage")) },
          { path: "day-plan", ...page(() => import("../dayplan/DayPlanPage")) },
          { path: "day-plan/:weekStart", ...page(() => import("../dayplan/DayPlanPage")) },
          { path: "bookings", ...page(() => import("../booking/BookingsPage")) },
          { path: "bookings/:date", ...page(() => import("../booking/BookingsPage")) },
          { path: "runs", ...page(() => import("../run/RunsPage")) },
          { path: "runs/:runId", ...page(() => import("../run/RunRecordPage")) },
          { path: "progress", ...page(() => import("../progress/ProgressPage")) },
          { path: "report", ...page(() => import("../report/ReportPage")) },
        ],
      },
      { path: "*", element: <LostPage /> },
    ],
  },
];

/** @param places others, for tests */
export function Places({ places = PLACES }: { places?: RouteObject[] }) {
  const location = useLocation();
  for (const { route } of matchRoutes(places, location) ?? []) (route.handle as FetchedPart | undefined)?.fetch(location.key);
  const shown = useRoutes(places, location);
  return (
    <ErrorBoundary FallbackComponent={CrashPage} resetKeys={[location.key]}>
      <Suspense fallback={<Loading />}>{shown}</Suspense>
    </ErrorBoundary>
  );
}
