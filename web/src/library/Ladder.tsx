/** The rungs of a movement, each as its picture; choosing one shows it above. */
import { Box, ButtonBase, Typography } from "@mui/material";
import type { Form, Movement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { MovementThumb } from "../figure/MovementThumb";

export function Ladder({ movement, chosen, onChoose }: { movement: Movement; chosen: string; onChoose(formId: string): void }) {
  return (
    <Box
      component="ol"
      sx={{
        m: 0,
        p: 0,
        listStyle: "none",
        display: "grid",
        gridTemplateColumns: "repeat(auto-fill, minmax(108px, 1fr))",
        gap: 1.5,
        alignItems: "start",
      }}
    >
      {movement.forms.map((form, rung) => (
        <Rung key={form.id} movement={movement} form={form} rung={rung} chosen={form.id === chosen} onChoose={() => onChoose(form.id)} />
      ))}
    </Box>
  );
}

interface RungProps {
  movement: Movement;
  form: Form;
  rung: number;
  chosen: boolean;
  onChoose(): void;
}

function Rung({ movement, form, rung, chosen, onChoose }: RungProps) {
  const name = useWords().formName(movement.id, form.id);
  const note = [form.id === movement.startForm && t("starts here"), form.needsCleanWeek && t("after a clean week")]
    .filter(Boolean)
    .join(", ");
  return (
    <Box component="li">
      <ButtonBase
        onClick={onChoose}
        aria-pressed={chosen}
        sx={{
          display: "block",
          width: "100%",
          textAlign: "left",
          borderRadius: 2,
          p: 0.5,
          border: "2px solid",
          borderColor: chosen ? "primary.main" : "transparent",
        }}
      >
        <MovementThumb movementId={movement.id} formId={form.id} />
        <Typography sx={{ lineHeight: 1.25, mt: 0.5, fontWeight: chosen ? 700 : 500 }}>
          {rung + 1}. {name}
        </Typography>
        <Typography sx={{ fontSize: "0.875rem", color: form.needsCleanWeek ? "warm.dark" : "text.secondary", minHeight: "1.3em" }}>
          {note}
        </Typography>
      </ButtonBase>
    </Box>
  );
}
