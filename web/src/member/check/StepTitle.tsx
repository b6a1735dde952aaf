/** The heading of a step: the reading goes on at it, by ear and by keyboard, when the step before it is gone. */
import { Typography } from "@mui/material";
import { useEffect, useRef, type ReactNode } from "react";

export function StepTitle({ children, tall = false }: { children: ReactNode; tall?: boolean }) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);
  return (
    <Typography
      variant="h2"
      ref={heading}
      tabIndex={-1}
      sx={{ fontSize: "1.5rem", lineHeight: 1.3, outline: "none", mb: 1.5, ...(tall && { fontSize: "1.6rem", minHeight: "6.6em" }) }}
    >
      {children}
    </Typography>
  );
}
