/** What surrounds every page: the sign-in gate, the rail, the connection notice, the notice at the foot. */
import { Box } from "@mui/material";
import { BookOpen, Building2, Ruler, Sunrise, Users } from "lucide-react";
import { lazy, Suspense, useEffect, useMemo } from "react";
import { Navigate, NavLink, Outlet, useLocation } from "react-router";
import { t } from "../base/words";
import { WithLibrary } from "../base/library";
import { Loading } from "../parts/Loading";
import { WaitingRuns } from "../run/WaitingRuns";
import { RunOutboxSender } from "../run/RunOutboxSender";
import { serverApi } from "../base/api";
import { fetched } from "../base/lost-code";
import { NoticeBar, PAGE_HEIGHT } from "../base/NoticeBar";
import { ConnectionNotice } from "../base/ConnectionNotice";
import { libraryApi } from "../library/api";
import { takeMeasures } from "../base/measures";
import { practiceApi } from "../practice/api";
import { useTold } from "../today/use-told";

const SecondStepGate = lazy(() => fetched(() => import("../auth/SecondStepGate")));

const PLACES = [
  { to: "/today", label: t("Today"), Icon: Sunrise },
  { to: "/crews", label: t("Crews"), Icon: Users },
  { to: "/library", label: t("Library"), Icon: BookOpen },
  { to: "/bench", label: t("Bench"), Icon: Ruler },
  { to: "/practice", label: t("Practice"), Icon: Building2 },
] as const;

/** Where a crew lead has something to do: what they lead, and their own sign-in. Everything else is the trainer's. */
const OF_A_LEAD = [/^\/today\/?$/, /^\/week(\/|$)/, /^\/practice\/?$/, /^\/crews\/[^/]+\/run\//];

/** @param bare without the rail, for the run screen */
export function Frame({ bare = false }: { bare?: boolean }) {
  const { data: me, isError } = serverApi.useMeQuery();
  const staff = me?.account && !me.account.needsSecondStep && ["trainer", "lead"].includes(me.account.role);
  // Programs may hold custom movements: no page is drawn before they are known.
  const movements = libraryApi.useMovementsQuery(undefined, { skip: !staff });
  const texts = practiceApi.useOwnTextsQuery(undefined, { skip: !staff });
  const custom = useMemo(() => movements.data?.map((entry) => entry.custom), [movements.data]);
  const { pathname, search } = useLocation();
  useEffect(() => {
    // Newer browsers answer with a promise, which an effect must not return.
    window.scrollTo(0, 0);
  }, [pathname]);
  if (!me) return isError ? <ConnectionNotice page /> : <Loading />;
  if (me.account?.role === "employer") return <Navigate to="/report" replace />;
  if (me.account?.role === "member") return <Navigate to="/me" replace />;
  if (me.account?.needsSecondStep) {
    return (
      <Suspense fallback={<Loading />}>
        <SecondStepGate practice={me.account.practice} />
      </Suspense>
    );
  }
  if (me.account && takeMeasures(me.account.measures)) return <Loading />;
  if (me.account && !movements.data) return movements.isError ? <ConnectionNotice page /> : <Loading />;
  if (!me.account) return <Navigate to={`/sign-in?next=${encodeURIComponent(pathname + search)}`} replace />;
  if (me.account.role === "lead" && !OF_A_LEAD.some((place) => place.test(pathname))) return <Navigate to="/today" replace />;
  return (
    <WithLibrary custom={custom} corrections={texts.data?.corrections}>
      <Box sx={{ display: "flex", flexDirection: { xs: "column", sm: "row" }, minHeight: PAGE_HEIGHT }}>
        {!bare && (
          <Box
            component="a"
            href="#main"
            sx={{ position: "absolute", left: -999, zIndex: 20, "&:focus": { left: 12, top: 12, bgcolor: "background.paper", p: 1.5 } }}
          >
            {t("Skip to the page")}
          </Box>
        )}
        {!bare && <Rail lead={me.account.role === "lead"} />}
        <Box
          component="main"
          id="main"
          tabIndex={-1}
          sx={{
            flex: 1,
            minWidth: 0,
            outline: "none",
            ...(bare ? {} : { px: { xs: 2, md: 4 }, pt: 2.5, pb: 6 }),
            "@media print": { p: 0 },
          }}
        >
          <ConnectionNotice />
          <WaitingRuns />
          <Outlet />
        </Box>
        <RunOutboxSender />
        <NoticeBar />
      </Box>
    </WithLibrary>
  );
}

/**
 * Beside the page; below it where the page is narrow, within reach of a thumb.
 * @param lead a crew lead has two places: today, and their own sign-in
 */
function Rail({ lead }: { lead: boolean }) {
  const told = useTold(!lead);
  return (
    <Box
      component="nav"
      aria-label={t("Places")}
      sx={{
        flexShrink: 0,
        position: "sticky",
        display: "flex",
        alignItems: "stretch",
        gap: 0.5,
        px: 1,
        borderColor: "line",
        width: { xs: "auto", sm: 92 },
        height: { xs: "auto", sm: PAGE_HEIGHT },
        flexDirection: { xs: "row", sm: "column" },
        top: { xs: "auto", sm: 0 },
        bottom: { xs: "var(--notice-height, 0px)", sm: "auto" },
        order: { xs: 1, sm: 0 },
        zIndex: { xs: "appBar", sm: "auto" },
        py: { xs: 0.5, sm: 2 },
        borderTop: { xs: "2px solid", sm: 0 },
        borderRight: { xs: 0, sm: "2px solid" },
        bgcolor: "background.default",
        "@media print": { display: "none" },
      }}
    >
      <Box
        component="img"
        src="/mark.svg"
        alt="Kind Grip"
        sx={{ width: 40, height: 40, mx: "auto", mb: 2.5, display: { xs: "none", sm: "block" } }}
      />
      {PLACES.filter(({ to }) => !lead || to === "/today" || to === "/practice").map(({ to, label, Icon }) => (
        <Box
          key={to}
          component={NavLink}
          to={to}
          sx={{
            display: "flex",
            flexDirection: "column",
            alignItems: "center",
            justifyContent: "center",
            flex: { xs: 1, sm: "none" },
            minWidth: 0,
            gap: 0.5,
            py: { xs: 0.5, sm: 1.25 },
            borderRadius: 2,
            color: "text.secondary",
            textDecoration: "none",
            fontSize: { xs: "0.8rem", sm: "0.9rem" },
            fontWeight: 600,
            minHeight: { xs: 52, sm: 60 },
            "&:hover": { color: "text.primary" },
            "&.active": { color: "primary.main", bgcolor: "primary.light" },
          }}
        >
          <Box component="span" sx={{ position: "relative", display: "grid" }}>
            <Icon size={24} aria-hidden />
            {to === "/today" && told > 0 && <Told count={told} />}
          </Box>
          {label}
        </Box>
      ))}
    </Box>
  );
}

/** Somebody waits for an answer. */
function Told({ count }: { count: number }) {
  const { pathname } = useLocation();
  const text = t("{{count}} people stopped and told you", { count, defaultValue_one: "{{count}} person stopped and told you" });
  return (
    <Box
      component="span"
      role="img"
      aria-label={text}
      title={text}
      sx={{
        position: "absolute",
        top: -8,
        left: 14,
        minWidth: 22,
        height: 22,
        px: 0.5,
        borderRadius: 11,
        display: "grid",
        placeItems: "center",
        bgcolor: "error.main",
        color: "error.contrastText",
        border: "2px solid",
        borderColor: pathname === "/today" ? "primary.light" : "background.default",
        fontSize: "0.8rem",
        fontWeight: 800,
        lineHeight: 1,
      }}
    >
      {count}
    </Box>
  );
}
