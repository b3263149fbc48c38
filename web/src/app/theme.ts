import { createSystem, defaultBaseConfig, defineConfig } from "@chakra-ui/react";
import {
  animationStyles,
  breakpoints,
  buttonRecipe,
  cssVarsPrefix,
  cssVarsRoot,
  dialogSlotRecipe,
  globalCss,
  keyframes,
  menuSlotRecipe,
  popoverSlotRecipe,
  semanticTokens,
  tableSlotRecipe,
  tokens,
} from "@chakra-ui/react/theme";

/** Of the library's looks, those of the components that are used; all of them would be most of the first load. */
const base = defineConfig({
  preflight: true,
  cssVarsPrefix,
  cssVarsRoot,
  globalCss,
  theme: {
    breakpoints,
    keyframes,
    tokens,
    semanticTokens,
    animationStyles,
    recipes: { button: buttonRecipe },
    slotRecipes: {
      dialog: dialogSlotRecipe,
      menu: menuSlotRecipe,
      popover: popoverSlotRecipe,
      table: tableSlotRecipe,
    },
  },
});

const token = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

/** All colours there are, in light and in dark. */
export const COLOURS = {
  ground: token("#FBF8F2", "#171B1E"),
  panel: token("#FFFEFB", "#1E2327"),
  line: token("#E6DFD2", "#343B40"),
  strongLine: token("#CFC6B6", "#49525A"),
  ink: token("#1F2B33", "#E9E5DC"),
  softInk: token("#5B6770", "#A3ADB4"),
  action: token("#0E6E6E", "#5BBDB8"),
  onAction: token("#FFFFFF", "#0D1B1B"),
  actionTint: token("#E3F0EE", "#1D3635"),
  simulated: token("#4B5AA7", "#98A5EA"),
  simulatedSoft: token("#C3C8E2", "#424C82"),
  plan: token("#D08700", "#E7A93C"),
  planText: token("#8A5A00", "#E7A93C"),
  risk: token("#7C3A6B", "#D79BC7"),
  riskTint: token("#F4E8F0", "#3B2636"),
  scenario1: token("#177A4C", "#6FC79A"),
  scenario2: token("#2278B5", "#7FBCEB"),
  scenario3: token("#A8442C", "#E89A85"),
  scenario4: token("#4F5B66", "#B9C4CC"),
  scenario5: token("#5F6B16", "#B7C46A"),
  scenario6: token("#00788A", "#66C6D2"),
  closed: token("#F1EADC", "#23292D"),
};

/** Paper and ink, a teal for what can be done, indigo for what was simulated, marigold for what was planned. */
const config = defineConfig({
  globalCss: {
    "html, body, #root": { height: "100%" },
    body: {
      bg: "ground",
      color: "ink",
      fontSize: "13.5px",
      lineHeight: "1.45",
      fontVariantNumeric: "tabular-nums",
    },
    "*:focus-visible": { outline: "2px solid", outlineColor: "action", outlineOffset: "1px" },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: "'Source Sans 3 Variable', 'Source Sans 3', sans-serif" },
        heading: { value: "'Source Sans 3 Variable', 'Source Sans 3', sans-serif" },
      },
    },
    semanticTokens: {
      colors: COLOURS,
    },
  },
});

export const theme = createSystem(defaultBaseConfig, base, config);
