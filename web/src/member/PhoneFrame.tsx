/** What surrounds every page of the phone: the sender, what waits, the way between the pages. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { CalendarCheck, CloudOff, LineChart, OctagonX } from "lucide-react";
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import { Link, Navigate, NavLink, Outlet, useLocation } from "react-router";
import type { MemberDay } from "@kind-grip/core/api";
import { useWords, WithLibrary } from "../base/library";

import { Loading } from "../parts/Loading";
import { WithLanguage } from "../base/language";
import { keepPage, keepWhatWasLoaded } from "./keep-page";
import { keepLanguage } from "./phone-language";
import { phone as store } from "./phone-store";
import { usePhone, useSender, type Phone, type Sender } from "./use-phone";

type SignedPhone = Phone & Pick<Sender, "cannotSend"> & { day: MemberDay };

const PhoneContext = createContext<SignedPhone | null>(null);

/** The day that is kept here; pages below {@link PhoneFrame} can rely on it. */
export function useDay(): SignedPhone {
  const phone = useContext(PhoneContext);
  if (!phone) throw new Error("useDay is for pages inside PhoneFrame");
  return phone;
}

export default function PhoneFrame() {
  const phone = usePhone();
  const sender = useSender();
  useEffect(keepPage, []);
  if (phone.day === undefined) return <Loading />;
  if (phone.day === null) return <FirstLook sender={sender} />;
  return (
    <PhoneContext.Provider value={{ ...phone, day: phone.day, cannotSend: sender.cannotSend }}>
      <OfPerson day={phone.day}>
        <Signed phone={phone} sender={sender} />
      </OfPerson>
    </PhoneContext.Provider>
  );
}

/** Their movements, in their language. */
function OfPerson({ day, children }: { day: MemberDay; children: ReactNode }) {
  const { language, measures, corrections } = day;
  const texts = useMemo(() => ({ [language]: corrections }), [language, corrections]);
  useEffect(() => {
    // The sign-in page of this phone speaks it too.
    keepLanguage(language);
    void keepWhatWasLoaded();
  }, [language]);
  return (
    <WithLibrary custom={day.customMovements} corrections={texts}>
      <WithLanguage whole language={language} measures={measures}>
        {children}
      </WithLanguage>
    </WithLibrary>
  );
}

/** Nobody is kept here; perhaps the server knows the browser all the same. */
function FirstLook({ sender: { signedOut, reached } }: { sender: Sender }) {
  const [tried, setTried] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setTried(true), 4000);
    return () => clearTimeout(timer);
  }, []);
  if (signedOut || !reached || tried) return <Navigate to="/me/sign-in" replace />;
  return <Loading />;
}

function Signed({ phone, sender: { reached, signedOut } }: { phone: Phone; sender: Sender }) {
  const words = useWords();
  const { pathname } = useLocation();
  useEffect(() => {
    // Newer browsers answer with a promise, which an effect must not return.
    window.scrollTo(0, 0);
  }, [pathname]);
  const waiting = phone.waiting.filter(({ refused }) => refused === undefined);
  const refused = phone.waiting.filter((each) => each.refused !== undefined);
  // A session that is followed goes on: what it leaves waits for whoever made it.
  if (pathname.startsWith("/me/session/")) return <Outlet />;
  if (signedOut && waiting.length === 0) return <Navigate to="/me/sign-in" replace />;
  return (
    <Box sx={{ minHeight: "100dvh", display: "flex", flexDirection: "column", maxWidth: 560, mx: "auto" }}>
      <Box component="main" id="main" sx={{ flex: 1, px: 2.5, pt: 2.5, pb: 3 }}>
        {signedOut && (
          <Alert
            severity="warning"
            variant="outlined"
            sx={{ mb: 2 }}
            action={
              <Button component={Link} to="/me/sign-in" color="inherit">
                {words.member("signIn")}
              </Button>
            }
          >
            {words.member("waitsHere", { count: waiting.length })}
          </Alert>
        )}
        {refused.map(({ seq, refused: why }) => (
          <Alert key={seq} severity="warning" variant="outlined" sx={{ mb: 2 }} onClose={() => void store.outbox.delete(seq!)}>
            {words.member("refused", { why: why! })}
          </Alert>
        ))}
        <Outlet />
      </Box>
      <Box
        component="p"
        role="status"
        sx={{ px: 2.5, m: 0, pb: 1.5, color: "text.secondary", display: "flex", gap: 1, alignItems: "center" }}
      >
        {!reached && <CloudOff size={18} aria-hidden style={{ flex: "none" }} />}
        {[!reached && words.member("offline"), waiting.length > 0 && words.member("waiting", { count: waiting.length })]
          .filter(Boolean)
          .join(" ") || (reached ? words.member("allSent") : "")}
      </Box>
      <Box
        component="nav"
        aria-label={words.member("signInTitle")}
        sx={{ display: "flex", borderTop: "2px solid", borderColor: "line", bgcolor: "background.paper", position: "sticky", bottom: 0 }}
      >
        <Tab to="/me" icon={<CalendarCheck size={22} aria-hidden />} label={words.member("today")} />
        <Tab to="/me/tell" icon={<OctagonX size={24} aria-hidden />} label={words.member("tell")} stop />
        <Tab to="/me/progress" icon={<LineChart size={22} aria-hidden />} label={words.member("progress")} />
      </Box>
    </Box>
  );
}

function Tab({ to, icon, label, stop = false }: { to: string; icon: ReactNode; label: string; stop?: boolean }) {
  return (
    <Box
      component={NavLink}
      to={to}
      end
      sx={{
        flex: 1,
        minHeight: 60,
        display: "grid",
        placeItems: "center",
        alignContent: "center",
        // Two lines in some languages, and on a narrow telephone: no wider than its third, and no higher than it must be.
        minWidth: 0,
        px: 0.5,
        py: 0.75,
        textAlign: "center",
        lineHeight: 1.15,
        overflowWrap: "anywhere",
        gap: 0.25,
        color: stop ? "error.main" : "text.secondary",
        textDecoration: "none",
        fontWeight: 650,
        "&.active": { color: "primary.main", boxShadow: "inset 0 4px 0 var(--mui-palette-primary-main)" },
      }}
    >
      {icon}
      {label}
    </Box>
  );
}

/** A page's heading with the way back. */
export function PhoneTitle({ title, lead, children }: { title: string; lead?: string; children?: ReactNode }) {
  useEffect(() => {
    document.title = `${title} – Kind Grip`;
  }, [title]);
  return (
    <Box sx={{ mb: 2.5 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, justifyContent: "space-between" }}>
        <Typography variant="h1" sx={{ fontSize: "1.8rem" }}>
          {title}
        </Typography>
        {children}
      </Box>
      {lead && <Typography sx={{ color: "text.secondary", mt: 0.5 }}>{lead}</Typography>}
    </Box>
  );
}
