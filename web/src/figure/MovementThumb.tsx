/** A movement in a form as a small still, beside its name. */
import type { SxProps } from "@mui/material";
import { useMemo } from "react";
import { FigurePicture } from "./FigurePicture";
import { figureRequest } from "./request";
import { useLibrary } from "../base/library";

/** Pixels a thumbnail is drawn at; it is shown at a third to all of that. */
const THUMB_WIDTH = 300;

export function MovementThumb({ movementId, formId, sx }: { movementId: string; formId?: string; sx?: SxProps }) {
  const library = useLibrary();
  const request = useMemo(() => figureRequest(library, movementId, { formId, width: THUMB_WIDTH }), [library, movementId, formId]);
  return <FigurePicture request={request} silent sx={sx} />;
}
