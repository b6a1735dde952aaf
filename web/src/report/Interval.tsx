/** A mean and the interval that holds the true one, drawn along a line on which no change is marked. */
import { Box } from "@mui/material";

interface IntervalProps {
  low: number;
  mean: number | null;
  /** Null where it has no end. */
  high: number | null;
  /** Where no change is. */
  none: number;
  /** Ratios: as far below as above. */
  isRatio?: boolean;
  verdict: "better" | "worse" | "notYet";
}

/** Ratios are drawn from an eighth to eight times. */
const MOST_RATIO = 8;
const COLOUR = { better: "primary.main", worse: "error.main", notYet: "text.secondary" } as const;

export function Interval({ low, mean, high, none, isRatio = false, verdict }: IntervalProps) {
  const reach = Math.max(...[low, high ?? low, mean ?? low].map((end) => Math.abs(end - none)), 1e-9) * 1.1;
  const place = (end: number) => {
    const share = isRatio ? Math.log(Math.max(1e-9, end)) / Math.log(MOST_RATIO) : (end - none) / reach;
    return 50 + 50 * Math.max(-1, Math.min(1, share));
  };
  const right = high === null ? 100 : place(high);
  return (
    <Box aria-hidden sx={{ position: "relative", height: 28, minWidth: 160 }}>
      <Box sx={{ position: "absolute", top: 13, left: 0, right: 0, height: 2, bgcolor: "line" }} />
      <Box sx={{ position: "absolute", left: "50%", top: 0, bottom: 0, width: 2, bgcolor: "text.primary" }} />
      <Box
        className="keeps-colour"
        sx={{
          position: "absolute",
          top: 9,
          height: 10,
          left: `${place(low)}%`,
          width: `${Math.max(1, right - place(low))}%`,
          bgcolor: COLOUR[verdict],
          borderRadius: 1,
          opacity: 0.55,
        }}
      />
      {mean !== null && (
        <Box
          className="keeps-colour"
          sx={{
            position: "absolute",
            top: 5,
            left: `calc(${place(mean)}% - 9px)`,
            width: 18,
            height: 18,
            borderRadius: "50%",
            bgcolor: COLOUR[verdict],
            border: "3px solid",
            borderColor: "background.default",
          }}
        />
      )}
    </Box>
  );
}
