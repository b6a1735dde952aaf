/** The poses of the movement in order: start, steps, end; add, copy, take out, change places. */
import { Box, Button, IconButton, Tooltip } from "@mui/material";
import { ArrowLeft, ArrowRight, Copy, Trash2 } from "lucide-react";
import type { CustomMovement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { MOST_POSES, withFigure } from "./change-pose";

interface PoseTabsProps {
  custom: CustomMovement;
  at: number;
  onChoose(at: number): void;
  onChange(what: string, custom: CustomMovement): void;
}

export function PoseTabs({ custom, at, onChoose, onChange }: PoseTabsProps) {
  const { poses } = custom.figure;
  const nameOf = (i: number) => (i === 0 ? t("Start") : i === poses.length - 1 ? t("End") : t("Step {{i}}", { i: i + 1 }));
  const set = (next: typeof poses, chosen: number) => {
    onChange("", withFigure(custom, { poses: next }));
    onChoose(chosen);
  };
  const swap = (by: 1 | -1) => {
    const next = [...poses];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    set(next, at + by);
  };
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
      <Choice
        label={t("Pose")}
        options={poses.map((_, i) => ({ value: String(i), label: nameOf(i) }))}
        value={String(at)}
        onChange={(value) => onChoose(Number(value))}
      />
      <Button
        startIcon={<Copy size={18} />}
        disabled={poses.length >= MOST_POSES}
        onClick={() => set([...poses.slice(0, at + 1), poses[at]!, ...poses.slice(at + 1)], at + 1)}
      >
        {t("Copy as next step")}
      </Button>
      <Tooltip title={t("Earlier")}>
        <span>
          <IconButton aria-label={t("Move this pose earlier")} disabled={at === 0} onClick={() => swap(-1)}>
            <ArrowLeft size={20} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title={t("Later")}>
        <span>
          <IconButton aria-label={t("Move this pose later")} disabled={at === poses.length - 1} onClick={() => swap(1)}>
            <ArrowRight size={20} />
          </IconButton>
        </span>
      </Tooltip>
      <IconButton
        aria-label={t("Take this pose out")}
        disabled={poses.length === 1}
        onClick={() =>
          set(
            poses.filter((_, i) => i !== at),
            Math.max(0, at - 1),
          )
        }
      >
        <Trash2 size={20} />
      </IconButton>
    </Box>
  );
}
