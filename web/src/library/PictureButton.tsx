/** A movement's small picture that opens it large and moving. */
import { ButtonBase } from "@mui/material";
import { useState } from "react";
import { useLibrary, useWords } from "../base/library";
import { t } from "../base/words";
import { MovementThumb } from "../figure/MovementThumb";
import { LargeMovement } from "./LargeMovement";

export function PictureButton({ movementId, formId }: { movementId: string; formId?: string }) {
  const library = useLibrary();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const movement = library.find(movementId);
  if (!movement) return <MovementThumb movementId={movementId} formId={formId} />;
  return (
    <>
      <ButtonBase
        aria-label={t("{{name}}, large", { name: words.movementName(movementId) })}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
        sx={{ display: "block", width: "100%", borderRadius: 2, cursor: "zoom-in" }}
      >
        <MovementThumb movementId={movementId} formId={formId} />
      </ButtonBase>
      {open && <LargeMovement movement={movement} formId={formId ?? movement.startForm} onClose={() => setOpen(false)} />}
    </>
  );
}
