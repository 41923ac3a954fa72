"use client";

import { fileStem } from "@/core/text";
import { saveAsPng, saveFile } from "@/ui/kit";
import { mapSvg, type MapPrint } from "@/core/drawing";

const fileName = (name: string): string => `${fileStem(name)}-map`;

export async function saveSvg(print: Omit<MapPrint, "fonts">): Promise<void> {
  saveFile(`${fileName(print.job.name)}.svg`, "image/svg+xml", mapSvg({ ...print, fonts: await fontRules() }));
}

/** Draws the same SVG into a picture; a browser that cannot says so by the promise's refusal. */
export async function savePng(print: Omit<MapPrint, "fonts">): Promise<void> {
  await saveAsPng(mapSvg({ ...print, fonts: await fontRules() }), fileName(print.job.name));
}

const FAMILIES = ["Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Mono Variable"];

/** The page's own fonts as rules that carry their bytes, so that the drawing looks the same where they are not installed. */
async function fontRules(): Promise<string> {
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules]).filter((rule) => rule instanceof CSSFontFaceRule);
  const wanted = rules.filter((rule) => {
    const family = rule.style.getPropertyValue("font-family").replace(/["']/g, "");
    return FAMILIES.includes(family) && /U\+0-FF|U\+0000-00FF/i.test(rule.style.getPropertyValue("unicode-range"));
  });
  const made = await Promise.all(
    wanted.map(async (rule) => {
      const source = /url\("?([^")]+)"?\)/.exec(rule.style.getPropertyValue("src"))?.[1];
      if (!source) return "";
      const base = rule.parentStyleSheet?.href ?? document.baseURI;
      const bytes = new Uint8Array(await (await fetch(new URL(source, base))).arrayBuffer());
      const family = rule.style.getPropertyValue("font-family").replace(/["']/g, "");
      const text = btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(""));
      return `@font-face{font-family:"${family}";src:url(data:font/woff2;base64,${text}) format("woff2");font-weight:200 800}`;
    }),
  );
  return made.join("");
}
