/** Kit that was bought: how many and how heavy, put with the crew's. The program is composed anew with it by itself. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useState } from "react";
import type { CrewEntry } from "@kind-grip/core/api";
import type { KitEntry } from "@kind-grip/core/crew";
import type { KitKind } from "@kind-grip/core/library";
import { toolOf } from "@kind-grip/core/load";
import { problemOf } from "../base/api";
import { useWords } from "../base/library";
import { massText } from "../base/measures";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { QuantityStepper } from "../parts/QuantityStepper";
import { Stepper } from "../parts/Stepper";

interface BuyKitDialogProps {
  crew: CrewEntry;
  kind: KitKind;
  /** As many as everybody at once needs. */
  count: number;
  onClose(): void;
}

const USUAL_KG = 1;

export function BuyKitDialog({ crew, kind, count: wanted, onClose }: BuyKitDialogProps) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const [count, setCount] = useState(wanted);
  const [massKg, setMassKg] = useState(USUAL_KG);
  const [changeCrew, { isLoading, error }] = crewApi.useChangeCrewMutation();
  const weighs = toolOf(kind, USUAL_KG) !== undefined;
  const name = words.label("kit", kind);
  const put = (now: CrewEntry, kit: readonly KitEntry[]) => {
    const { id, version, ...detail } = now;
    return changeCrew({ id, version, crew: { ...detail, kit: [...kit] } });
  };
  const buy = async () => {
    const { data: changed } = await put(crew, [...crew.kit, { kind, massKg: weighs ? massKg : null, count }]);
    if (!changed) return;
    const what = weighs ? `${count} × ${name.toLowerCase()} ${massText(massKg)}` : `${count} × ${name.toLowerCase()}`;
    dispatch(notify({ text: t("{{what}} is with the kit of {{crew}}.", { what, crew: crew.name }), undo: () => put(changed, crew.kit) }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="buy-title" maxWidth="xs" fullWidth>
      <DialogTitle id="buy-title">{t("{{name}} for {{crew}}", { name, crew: crew.name })}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1 }}>
          <Stepper label={t("How many")} value={count} min={1} max={500} onChange={setCount} />
          {weighs && (
            <QuantityStepper label={t("Each")} quantity="mass" value={massKg} min={0.1} max={40} step={0.1} onChange={setMassKg} />
          )}
          <Typography sx={{ color: "text.secondary" }}>
            {t("With fewer than people, they take turns, and that takes longer. The program is composed anew.")}
          </Typography>
          {error !== undefined && <Typography sx={{ color: "error.main" }}>{problemOf(error).message}</Typography>}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button variant="contained" disabled={isLoading} onClick={() => void buy()}>
          {t("Put it with the kit")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
