/** One of a few pictures; a radio group to the keyboard and to screen readers. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { FigurePicture } from "../figure/FigurePicture";
import { radioProps } from "../parts/radio-props";
import type { PictureOption } from "./pictures";

interface PicturePickProps<T> {
  label: string;
  options: readonly PictureOption<T>[];
  value: T;
  onChange(value: T): void;
}

export function PicturePick<T extends string | number>({ label, options, value, onChange }: PicturePickProps<T>) {
  const values = options.map((option) => option.value);
  const radio = radioProps(values, values.includes(value) ? value : values[0]!, onChange);
  return (
    <Box sx={{ minWidth: 0 }}>
      <Typography component="p" sx={{ fontSize: "0.875rem", color: "text.secondary", mb: 0.5 }}>
        {label}
      </Typography>
      <Box
        role="radiogroup"
        aria-label={label}
        sx={{ display: "grid", gridTemplateColumns: `repeat(auto-fit, minmax(62px, 104px))`, gap: 0.75 }}
      >
        {options.map((option) => {
          const props = radio(option.value);
          const chosen = props["aria-checked"];
          return (
            <ButtonBase
              key={String(option.value)}
              {...props}
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
