/**
 * One short notice at the foot of the window, with a way to take it back. It lies over nothing: while it is there the page is that much
 * shorter (`--notice-height`), so that what a full screen has at its foot stays in sight and what is further down can be scrolled to.
 */
import { Box, Button, IconButton, Portal } from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { t } from "./words";
import { problemOf } from "./api";
import { closeNotice, notify, type Notice } from "./notices";
import { useAppDispatch, useAppSelector } from "./store";
import { whyNot, type Outcome } from "./tell-failure";

/** Long enough to read it and to reach its button. */
const SHOWN_MS = 9000;
/** Height of the window that is the page's. */
export const PAGE_HEIGHT = "calc(100dvh - var(--notice-height, 0px))";

export function NoticeBar() {
  const notice = useAppSelector((state) => state.notice);
  const dispatch = useAppDispatch();
  const place = useRef<HTMLSpanElement>(null);
  const bar = useRef<HTMLDivElement>(null);
  const [isLookedAt, setLookedAt] = useState(false);
  /** Behind a dialog, which hides the page from whoever listens. */
  const [isCovered, setCovered] = useState(false);
  const shown = notice?.shown;
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    if (shown !== undefined) style.setProperty("--notice-height", `${bar.current?.offsetHeight ?? 0}px`);
    setCovered(shown !== undefined && place.current?.closest("[aria-hidden=true]") != null);
    return () => void style.removeProperty("--notice-height");
  }, [shown]);
  useEffect(() => {
    if (shown === undefined || isLookedAt) return;
    const timer = setTimeout(() => dispatch(closeNotice()), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [shown, isLookedAt, dispatch]);
  const close = () => {
    setLookedAt(false);
    dispatch(closeNotice());
  };
  const takeBack = async ({ undo }: Notice) => {
    close();
    const { error } = ((await undo?.()) ?? {}) as Outcome;
    if (error === undefined) return;
    // What may be different in a moment can be tried again.
    const again = problemOf(error).code === "away" ? undo : undefined;
    dispatch(notify({ text: t("Not taken back. {{why}}", { why: whyNot(error) }), undo: again }));
  };
  const told = (
    <Box role="status" aria-label={t("Notice")} aria-live={isCovered ? "assertive" : "polite"}>
      {notice && (
        <Box
          ref={bar}
          onPointerEnter={() => setLookedAt(true)}
          onPointerLeave={() => setLookedAt(false)}
          onFocus={() => setLookedAt(true)}
          onBlur={() => setLookedAt(false)}
          onKeyDown={(event) => event.key === "Escape" && close()}
          sx={{
            position: "fixed",
            inset: "auto 0 0 0",
            zIndex: "snackbar",
            display: "flex",
            alignItems: "center",
            gap: 1,
            px: { xs: 2, md: 4 },
            py: 0.5,
            minHeight: 52,
            bgcolor: "text.primary",
            color: "background.paper",
            "@media print": { display: "none" },
          }}
        >
          <Box sx={{ flex: 1 }}>{notice.text}</Box>
          {notice.undo && (
            <Button sx={{ color: "inherit", textDecoration: "underline" }} onClick={() => void takeBack(notice)}>
              {t("Undo")}
            </Button>
          )}
          <IconButton aria-label={t("Close the notice")} onClick={close}>
            <X size={20} />
          </IconButton>
        </Box>
      )}
    </Box>
  );
  return (
    <>
      <span ref={place} hidden />
      {/* Beside the dialog, where it is read aloud. */}
      {isCovered ? <Portal>{told}</Portal> : told}
    </>
  );
}
