/** A movement in a form as a small still, beside its name. */
import type { SxProps } from "@mui/material";
import { useMemo } from "react";
import { FigurePicture } from "./FigurePicture";
import { thumbRequest } from "./request";
import { useLibrary } from "../base/library";

export function MovementThumb({ movementId, formId, sx }: { movementId: string; formId?: string; sx?: SxProps }) {
  const library = useLibrary();
  const request = useMemo(() => thumbRequest(library, movementId, formId), [library, movementId, formId]);
  return <FigurePicture request={request} silent sx={sx} />;
}
