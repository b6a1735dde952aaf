/** One of a few pictures; a radio group to the keyboard and to screen readers. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { FigurePicture } from "../figure/FigurePicture";
import type { PictureOption } from "./pictures";

interface PicturePickProps<T> {
  label: string;
  options: readonly PictureOption<T>[];
  value: T;
  onChange(value: T): void;
}

export function PicturePick<T extends string | number>({ label, options, value, onChange }: PicturePickProps<T>) {
  const index = Math.max(
    0,
    options.findIndex((option) => option.value === value),
  );
  const move = (by: number) => onChange(options[(index + by + options.length) % options.length]!.value);
  return (
    <Box sx={{ minWidth: 0 }}>
      <Typography component="p" sx={{ fontSize: "0.875rem", color: "text.secondary", mb: 0.5 }}>
        {label}
      </Typography>
      <Box
        role="radiogroup"
        aria-label={label}
        sx={{ display: "grid", gridTemplateColumns: `repeat(${options.length}, minmax(62px, 104px))`, gap: 0.75 }}
      >
        {options.map((option, i) => {
          const chosen = i === index;
          return (
            <ButtonBase
              key={String(option.value)}
              role="radio"
              aria-checked={chosen}
              tabIndex={chosen ? 0 : -1}
              ref={(node: HTMLButtonElement | null) => {
                if (chosen && node?.parentElement?.contains(document.activeElement)) node.focus();
              }}
              onClick={() => onChange(option.value)}
              onKeyDown={(event) => {
                if (event.key === "ArrowRight" || event.key === "ArrowDown") move(1);
                else if (event.key === "ArrowLeft" || event.key === "ArrowUp") move(-1);
                else return;
                event.preventDefault();
              }}
              sx={{
                display: "block",
                borderRadius: 2,
                border: "3px solid",
                borderColor: chosen ? "primary.main" : "line",
                overflow: "hidden",
                textAlign: "center",
                bgcolor: chosen ? "primary.light" : "background.paper",
              }}
            >
              <FigurePicture request={option.request} silent sx={{ pointerEvents: "none" }} />
              <Box
                component="span"
                sx={{
                  display: "block",
                  fontSize: "0.875rem",
                  lineHeight: 1.15,
                  py: 0.5,
                  px: 0.25,
                  fontWeight: chosen ? 750 : 500,
                  color: "text.primary",
                }}
              >
                {option.label}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
    </Box>
  );
}
