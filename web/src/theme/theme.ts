import { createTheme } from "@mui/material/styles";
import { colours } from "./colours";

/** Where the keys go: 5 to 1 and more against paper and card. */
const ring = { outline: `2px solid ${colours.river}`, outlineOffset: 1 };

const text = '"Source Sans 3 Variable", sans-serif';
export const titleFont = '"Fraunces Variable", serif';

export const theme = createTheme({
  palette: {
    mode: "light",
    primary: { main: colours.river },
    secondary: { main: colours.otter },
    error: { main: colours.fault },
    info: { main: colours.river },
    background: { default: colours.paper, paper: colours.card },
    text: { primary: colours.ink, secondary: "#515D63" },
    divider: "#DDD8CC",
  },
  shape: { borderRadius: 10 },
  typography: {
    fontFamily: text,
    fontSize: 14,
    h1: { fontFamily: titleFont, fontSize: 34, fontWeight: 560 },
    h2: { fontFamily: titleFont, fontSize: 19, fontWeight: 600 },
    h3: { fontFamily: titleFont, fontSize: 16, fontWeight: 600 },
    button: { textTransform: "none", fontWeight: 600 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: "tabular-nums", overflow: "hidden" },
        ":focus-visible": ring,
        "@media (prefers-reduced-motion: reduce)": {
          "*, *::before, *::after": { transitionDuration: "0.01ms !important", animationDuration: "0.01ms !important", animationIterationCount: "1 !important" },
        },
        // Where colours are the system's, a tinted ground is none: what is chosen is framed.
        "@media (forced-colors: active)": {
          ".Mui-selected, [aria-pressed=true], [aria-current]": { outline: "2px solid Highlight !important", outlineOffset: "-2px !important" },
          ".Mui-disabled": { color: "GrayText !important" },
        },
      },
    },
    // Buttons take their outline away themselves, in a rule that comes later.
    MuiButtonBase: { styleOverrides: { root: { "&:focus-visible": ring } } },
    MuiSelect: { styleOverrides: { select: { "&.MuiInput-input:focus-visible": ring } } },
    MuiButton: { defaultProps: { disableElevation: true } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: "none" } } },
    MuiTooltip: { defaultProps: { enterDelay: 500, describeChild: true, disableInteractive: true } },
    MuiTextField: { defaultProps: { size: "small" } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          padding: "3px 10px",
          "&.Mui-selected": { backgroundColor: "#DCEAEA", color: "#14525A" },
        },
      },
    },
  },
});
