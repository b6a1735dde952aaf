/** The look: warm chalk ground, spruce ink, generous type, few boxes. MUI carries it; nothing of its stock look stays. */
import { createTheme, type PaletteColor } from "@mui/material/styles";

interface HandColours {
  left: string;
  right: string;
  both: string;
  /** Text on a filled hand colour. */
  on: string;
}

declare module "@mui/material/styles" {
  interface Palette {
    hand: HandColours;
    warm: PaletteColor;
    /** Between things; says nothing by itself. */
    line: string;
    /** Round what can be typed in or pressed: 3 : 1 against the ground. */
    edge: string;
  }
  interface PaletteOptions {
    hand?: HandColours;
    warm?: Partial<PaletteColor>;
    line?: string;
    edge?: string;
  }
}
declare module "@mui/material/Button" {
  interface ButtonPropsColorOverrides {
    warm: true;
  }
}

const family = '"Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Next", "Noto Sans Arabic Variable", system-ui, sans-serif';

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "data-floor" },
  colorSchemes: {
    light: {
      palette: {
        background: { default: "#F6F2E9", paper: "#FFFDF8" },
        text: { primary: "#1D2B2A", secondary: "#55615E" },
        primary: { main: "#17594F", dark: "#0F443C", light: "#D8E6E0", contrastText: "#FFFDF8" },
        error: { main: "#9E2B25", contrastText: "#FFFDF8" },
        warning: { main: "#C8662B", dark: "#94400F", contrastText: "#FFFDF8" },
        info: { main: "#17594F", contrastText: "#FFFDF8" },
        success: { main: "#17594F", contrastText: "#FFFDF8" },
        warm: { main: "#C8662B", dark: "#94400F", light: "#F6E2D2", contrastText: "#FFFDF8" },
        divider: "#D9D2C3",
        line: "#D9D2C3",
        edge: "#8A8575",
        hand: { left: "#3F5E9C", right: "#B4552D", both: "#17594F", on: "#FFFDF8" },
      },
    },
    dark: {
      palette: {
        background: { default: "#141A19", paper: "#1D2524" },
        text: { primary: "#F1EBDD", secondary: "#B3BDB8" },
        primary: { main: "#7CCBB8", dark: "#A3DDCF", light: "#24413B", contrastText: "#0E1716" },
        error: { main: "#F0938C", contrastText: "#1D2524" },
        warning: { main: "#EC9A64", dark: "#F3B98F", contrastText: "#141A19" },
        info: { main: "#7CCBB8", contrastText: "#0E1716" },
        success: { main: "#7CCBB8", contrastText: "#0E1716" },
        warm: { main: "#EC9A64", dark: "#F3B98F", light: "#46301F", contrastText: "#141A19" },
        divider: "#3B4644",
        line: "#3B4644",
        edge: "#7F8C88",
        hand: { left: "#9DB6EC", right: "#EBA27C", both: "#7CCBB8", on: "#141A19" },
      },
    },
  },
  shape: { borderRadius: 5 },
  shadows: Array.from({ length: 25 }, (_, i) => (i === 0 ? "none" : "0 10px 34px rgba(29, 43, 42, 0.16)")) as never,
  typography: {
    fontFamily: family,
    fontSize: 16,
    htmlFontSize: 16,
    h1: { fontSize: "2.1rem", fontWeight: 700, letterSpacing: "-0.02em", lineHeight: 1.15 },
    h2: { fontSize: "1.4rem", fontWeight: 700, letterSpacing: "-0.01em", lineHeight: 1.25 },
    h3: { fontSize: "1.1rem", fontWeight: 700, lineHeight: 1.3 },
    body1: { fontSize: "1rem", lineHeight: 1.5 },
    body2: { fontSize: "1rem", lineHeight: 1.5 },
    caption: { fontSize: "0.875rem", lineHeight: 1.4 },
    button: { fontSize: "1rem", fontWeight: 650, textTransform: "none", letterSpacing: 0 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        html: { fontVariantNumeric: "tabular-nums" },
        body: { minHeight: "100dvh", paddingBottom: "var(--notice-height, 0px)" },
        // Seen on everything, also where the component library takes it away; forced colours give it theirs.
        ":focus-visible, .Mui-focusVisible": { outline: "3px solid var(--mui-palette-warm-dark) !important", outlineOffset: 2 },
        // A field shows it on its border; its bare input would only show it a second time, inside.
        ".MuiInputBase-input:focus-visible": { outline: "none !important" },
        ".MuiInputBase-root:has(.MuiInputBase-input:focus-visible)": {
          outline: "3px solid var(--mui-palette-warm-dark)",
          outlineOffset: 2,
        },
        "@media (forced-colors: active)": {
          // Ribbons, bars and blocks say something by their colour alone where nothing else is drawn: they keep it.
          ".keeps-colour, svg": { forcedColorAdjust: "none" },
          ":focus-visible, .Mui-focusVisible": { outlineColor: "Highlight !important" },
        },
        "@media (prefers-reduced-motion: reduce)": {
          "*, *::before, *::after": { animationDuration: "0.01ms !important", transitionDuration: "0.01ms !important" },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true }, styleOverrides: { root: { fontFamily: family } } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: "text" },
      styleOverrides: {
        root: {
          minHeight: 44,
          paddingInline: 18,
          borderRadius: 8,
          variants: [
            // The warm mark itself is too light under text.
            {
              props: { variant: "contained", color: "warm" },
              style: { backgroundColor: "var(--mui-palette-warm-dark)", "&:hover": { backgroundColor: "var(--mui-palette-warm-dark)" } },
            },
          ],
        },
        text: { paddingInline: 12 },
        outlined: { borderWidth: 2, borderColor: "var(--mui-palette-edge)", backgroundColor: "var(--mui-palette-background-paper)" },
      },
    },
    MuiIconButton: { styleOverrides: { root: { width: 44, height: 44, borderRadius: 8, color: "inherit" } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: "none" } } },
    MuiDialog: {
      styleOverrides: {
        paper: {
          borderRadius: 14,
          // A telephone has no room to give away.
          "@media (max-width: 599.95px)": { margin: 10, width: "calc(100% - 20px)", maxHeight: "calc(100% - 20px)" },
        },
      },
    },
    MuiDialogTitle: { styleOverrides: { root: { fontSize: "1.4rem", fontWeight: 700, paddingBottom: 4 } } },
    MuiDialogActions: { styleOverrides: { root: { padding: "8px 24px 20px" } } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: {
          backgroundColor: "var(--mui-palette-background-paper)",
          minHeight: 44,
          "& .MuiOutlinedInput-notchedOutline": { borderColor: "var(--mui-palette-edge)", borderWidth: 2, top: 0 },
          "& .MuiOutlinedInput-notchedOutline legend": { display: "none" },
        },
      },
    },
    MuiTextField: {
      defaultProps: { size: "small", fullWidth: true, slotProps: { inputLabel: { shrink: true } } },
      // The label stands above its field and stays there: a label inside is gone when it is needed.
      styleOverrides: { root: { justifyContent: "end" } },
    },
    MuiFormHelperText: { styleOverrides: { root: { fontSize: "0.875rem", marginLeft: 2 } } },
    MuiInputLabel: {
      defaultProps: { shrink: true },
      styleOverrides: {
        root: {
          position: "static",
          transform: "none",
          maxWidth: "none",
          fontSize: "0.875rem",
          lineHeight: 1.3,
          marginBottom: 3,
          whiteSpace: "normal",
          color: "var(--mui-palette-text-secondary)",
        },
      },
    },
    // Its thumb is wider than its rail: where the page ends beside it, it keeps within.
    MuiSlider: { styleOverrides: { root: { "@media (max-width: 719.95px)": { width: "calc(100% - 20px)", marginInline: 10 } } } },
    MuiMenuItem: { styleOverrides: { root: { minHeight: 44 } } },
    MuiTooltip: {
      styleOverrides: {
        tooltip: { fontSize: "0.875rem", backgroundColor: "var(--mui-palette-text-primary)", color: "var(--mui-palette-background-paper)" },
      },
    },
    MuiLink: { styleOverrides: { root: { fontWeight: 600, textUnderlineOffset: 3 } } },
  },
});
