/** The chalk-coloured sheet a figure is drawn on: the same in light and on the dim floor, for its ink is dark. */
import { Box, type SxProps } from "@mui/material";

/** @param svg text made by the core; nothing a person typed is ever in it */
interface FigureSheetProps {
  svg: string;
  title?: string;
  /** Width over height. */
  aspect?: number;
  sx?: SxProps;
}

/** The paper figures are drawn on. */
export const SHEET = "#FBF7EE";
/** On the dim floor the whole drawing is darker: bright panes would blind a room that was darkened on purpose. */
export const DIMMED = { filter: "brightness(0.66)" };

export function FigureSheet({ svg, title, aspect = 4 / 3, sx }: FigureSheetProps) {
  return (
    <Box
      className="figure"
      {...(title ? { role: "img", "aria-label": title } : { "aria-hidden": true })}
      sx={{
        aspectRatio: String(aspect),
        width: "100%",
        bgcolor: SHEET,
        "[data-floor='dark'] &": DIMMED,
        borderRadius: 2,
        overflow: "hidden",
        "& svg": { display: "block", width: "100%", height: "100%" },
        ...sx,
      }}
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
