/** A button for a hand that holds the screen: a touch has to stay for a second, a key or a reader's press acts at once. */
import { Box, Button } from "@mui/material";
import { useEffect, useRef, useState, type ReactNode } from "react";

const STAYS_MS = 1000;

interface LongPressProps {
  label: string;
  icon: ReactNode;
  onPress(): void;
}

export function LongPress({ label, icon, onPress }: LongPressProps) {
  const [pressed, setPressed] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const letGo = () => {
    clearTimeout(timer.current);
    setPressed(false);
  };
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <Button
      variant="contained"
      fullWidth
      startIcon={icon}
      onPointerDown={(event) => {
        if (event.pointerType === "mouse" && event.button !== 0) return;
        setPressed(true);
        timer.current = setTimeout(() => {
          letGo();
          onPress();
        }, STAYS_MS);
      }}
      onPointerUp={letGo}
      onPointerLeave={letGo}
      onPointerCancel={letGo}
      onContextMenu={(event) => event.preventDefault()}
      // A click without a pointer comes from a key or a reader.
      onClick={({ detail }) => detail === 0 && onPress()}
      sx={{ minHeight: 64, position: "relative", overflow: "hidden", touchAction: "none", userSelect: "none" }}
    >
      <Box
        component="span"
        aria-hidden
        sx={{
          position: "absolute",
          inset: 0,
          bgcolor: "common.white",
          opacity: 0.35,
          transformOrigin: "left",
          transform: `scaleX(${pressed ? 1 : 0})`,
          transition: pressed ? `transform ${STAYS_MS}ms linear` : "none",
        }}
      />
      {label}
    </Button>
  );
}
