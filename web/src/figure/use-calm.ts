import { useMediaQuery } from "@mui/material";

/** Whether this person asked their device for less motion. */
export const useCalm = (): boolean => useMediaQuery("(prefers-reduced-motion: reduce)");
