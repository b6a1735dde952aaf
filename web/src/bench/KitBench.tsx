/** Too few weights for a group: partners, waves, substitutes, and what each costs in time. */
import { Box, Typography } from "@mui/material";
import { useState } from "react";
import { shareKit, type Sharing } from "@kind-grip/core/kit";
import { durationText } from "@kind-grip/core/units";
import { spanText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Why } from "../parts/Why";
import { MovementPick } from "./MovementPick";
import { SendToProgram } from "./SendToProgram";
import { useBenchItem } from "./use-item";

const START = "lift-palm-down";

export function KitBench() {
  const library = useLibrary();
  const words = useWords();
  const [movementId, setMovementId] = useState(START);
  const movement = library.get(movementId);
  const [asked, setSides] = useState(movement.sideModes[0]!);
  const sides = movement.sideModes.includes(asked) ? asked : movement.sideModes[0]!;
  const item = useBenchItem(movementId, sides);
  const [people, setPeople] = useState(11);
  const [pieces, setPieces] = useState(6);
  const [others, setOthers] = useState(0);
  const ways = shareKit(item, library.timings, people, pieces, others);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 3 }}>
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", alignItems: "center" }}>
        <MovementPick
          value={movementId}
          only={({ kit, forms }) => kit.length > 0 || forms.some((form) => form.kit.length > 0)}
          onChange={setMovementId}
        />
        <Choice
          label={t("Sides")}
          value={sides}
          onChange={(value) => setSides(value as typeof sides)}
          options={movement.sideModes.map((value) => ({ value, label: words.label("sides", value) }))}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 2.5, flexWrap: "wrap" }}>
        <Stepper label={t("People at once")} value={people} min={1} max={60} onChange={setPeople} />
        <Stepper label={t("Pieces")} value={pieces} min={0} max={120} onChange={setPieces} />
        <Stepper label={t("Others of the same torque")} value={others} min={0} max={120} onChange={setOthers} />
        <Typography sx={{ alignSelf: "flex-end", pb: 1.25, color: "text.secondary" }}>
          {words.dose(item.dose)}, {words.label("sides", sides).toLowerCase()}
          {sides === "together" && t(": two pieces each")}
        </Typography>
      </Box>
      <Box component="ol" aria-label={t("Ways")} sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 860 }}>
        {ways.length === 0 && <Typography>{t("There is nothing to share: at least one piece is needed.")}</Typography>}
        {ways.map((way, i) => (
          <Box
            component="li"
            key={way.kind}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "minmax(0, 1fr) minmax(0, 1fr)", sm: "110px 1fr 150px" },
              alignItems: "baseline",
              py: 1.25,
              borderTop: "1px solid",
              borderColor: "line",
              fontWeight: i === 0 ? 700 : 500,
            }}
          >
            <Box component="span" sx={{ fontSize: "1.7rem", fontWeight: 800 }}>
              {durationText(way.totalSec)}
            </Box>
            <span>{wayText(way, people, pieces)}</span>
            <Box component="span" sx={{ color: way.costSec > 0 ? "warm.dark" : "primary.main", textAlign: "right" }}>
              {way.costSec > 0 ? t("{{costSec}} more", { costSec: spanText(way.costSec) }) : t("no more time")}
            </Box>
          </Box>
        ))}
      </Box>
      {movement.sideModes.length > 1 && (
        <Box>
          <SendToProgram
            what={`“${words.label("sides", sides).toLowerCase()}”`}
            fits={(each) => each.movementId === movementId && each.sides !== sides}
            change={(each) => ({ ...each, sides })}
          />
        </Box>
      )}
      <Why label={t("How it is worked out")}>
        {t(
          "Partners: one works while the other rests; rest is only added where the partner's bout did not cover it. Waves: one group after the other. Handing a piece over takes 5 s. What has the same torque is found under Lever and load.",
        )}
      </Why>
    </Box>
  );
}

function wayText(way: Sharing, people: number, pieces: number): string {
  switch (way.kind) {
    case "enough":
      return t("Enough for all {{people}}.", { people });
    case "substitutes":
      return t("{{people}} of the {{people2}} take something of the same torque.", { people: way.people, people2: people });
    case "partners":
      return t("In pairs on {{count}} pieces: one works, one rests.", {
        count: pieces,
        defaultValue_one: "In pairs on one piece: one works, one rests.",
      });
    case "waves":
      return t("In {{waves}} waves, one after the other.", { waves: way.waves });
  }
}
