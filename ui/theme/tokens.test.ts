import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";

const ui = fileURLToPath(new URL("..", import.meta.url));
const modules = readdirSync(ui, { recursive: true, encoding: "utf8" })
  .filter((name) => name.endsWith(".module.css"))
  .map((name) => ({ name, css: readFileSync(join(ui, name), "utf8") }));
const tokens = readFileSync(join(ui, "theme/tokens.css"), "utf8");

describe("the styles of the pages", () => {
  test("take sizes of type from the tokens", () => {
    for (const { name, css } of modules) expect(css.match(/font-size: (?!var\(--size-)[^;]+/g), name).toBeNull();
  });

  test("take gaps from the tokens", () => {
    for (const { name, css } of modules) expect(css.match(/\bgap: [^;]*\b[2-9]\d*px/g), name).toBeNull();
  });

  test("know two breakpoints", () => {
    const widths = modules.flatMap(({ css }) => [...css.matchAll(/@media \(max-width: (\d+)px\)/g)].map(([, width]) => width));
    expect(new Set(widths)).toEqual(new Set(["1000", "700"]));
  });

  test("use no token that does not exist", () => {
    for (const { name, css } of modules)
      for (const [, token] of css.matchAll(/var\((--[\w-]+)\)/g)) expect(tokens + css, `${name}: ${token}`).toContain(`${token}:`);
  });

  test("fit in a head: no module has more than 250 lines", () => {
    for (const { name, css } of modules) expect(css.split("\n").length, name).toBeLessThanOrEqual(251);
  });
});
