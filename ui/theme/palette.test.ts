import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { PALETTE, type ThemeName } from "./palette";

/** WCAG 2.2 relative luminance and contrast ratio. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r = 0, g = 0, blue = 0] = [1, 3, 5]
      .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * blue;
  };
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

describe.each(["dim", "day"] as const satisfies readonly ThemeName[])("the %s theme", (name) => {
  const colours = PALETTE[name];
  const depths = [colours.ground, colours.sheet, colours.raised];

  test.each(["ink", "quiet", "brass", "whole", "part", "silent"] as const)("%s text has AA contrast on every depth", (ink) => {
    for (const depth of depths) expect(contrast(colours[ink], depth)).toBeGreaterThanOrEqual(4.5);
  });

  test("strings, marks and edges of fields stand out by 3 to 1", () => {
    for (const mark of ["string", "ghost", "edge"] as const)
      for (const depth of depths) expect(contrast(colours[mark], depth)).toBeGreaterThanOrEqual(3);
  });

  test("the main action is readable, also under the pointer", () => {
    expect(contrast(colours.onBrass, colours.brass)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(colours.onBrass, colours.brassHover)).toBeGreaterThanOrEqual(4.5);
  });

  test("has the same colours in the style sheet", () => {
    const css = readFileSync(new URL("tokens.css", import.meta.url), "utf8");
    const block = css.slice(css.indexOf(`[data-theme="${name}"]`)).split("}")[0] ?? "";
    for (const [token, colour] of Object.entries(colours))
      expect(block).toContain(`--${token.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}: ${colour};`);
  });
});
