import { theme, type ThemeConfig } from "antd";
import { PALETTE, type ThemeName } from "./palette";

/** Ant Design's behaviour under our own colours, type and shapes: no shadows, no stock blue. */
export function antdTheme(name: ThemeName): ThemeConfig {
  const colours = PALETTE[name];
  return {
    // Each theme has variables of its own name, so that a change after the first paint takes them all.
    cssVar: { key: `octachord-${name}` },
    algorithm: name === "dim" ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: colours.brass,
      colorInfo: colours.brass,
      colorSuccess: colours.whole,
      colorWarning: colours.part,
      colorError: colours.silent,
      colorLink: colours.brass,
      colorText: colours.ink,
      colorTextSecondary: colours.quiet,
      colorTextTertiary: colours.quiet,
      colorTextQuaternary: colours.quiet,
      colorTextDisabled: colours.edge,
      colorTextDescription: colours.quiet,
      colorTextPlaceholder: colours.quiet,
      colorBgBase: colours.ground,
      colorBgContainer: colours.sheet,
      colorBgElevated: colours.raised,
      colorBorder: colours.edge,
      colorBorderSecondary: colours.line,
      colorTextLightSolid: colours.onBrass,
      fontFamily: '"Atkinson Hyperlegible Next Variable", sans-serif',
      fontFamilyCode: '"Atkinson Hyperlegible Mono Variable", monospace',
      fontSize: 15,
      borderRadius: 6,
      boxShadow: "none",
      boxShadowSecondary: "none",
      boxShadowTertiary: "none",
      controlHeight: 34,
      motionDurationMid: "0.1s",
      motionDurationSlow: "0.15s",
    },
    components: {
      Button: {
        colorPrimary: colours.brass,
        colorPrimaryHover: colours.brassHover,
        colorPrimaryActive: colours.brass,
        primaryShadow: "none",
        defaultShadow: "none",
        dangerShadow: "none",
        fontWeight: 600,
      },
      Select: { optionSelectedBg: colours.line, optionSelectedColor: colours.ink, optionActiveBg: colours.line },
      Slider: {
        trackBg: colours.brass,
        trackHoverBg: colours.brass,
        railBg: colours.edge,
        railHoverBg: colours.edge,
        handleColor: colours.brass,
        handleActiveColor: colours.brass,
        dotActiveBorderColor: colours.brass,
      },
      Modal: { contentBg: colours.sheet, headerBg: colours.sheet, titleFontSize: 20 },
      Tooltip: { colorBgSpotlight: colours.raised, colorTextLightSolid: colours.ink },
    },
  };
}
