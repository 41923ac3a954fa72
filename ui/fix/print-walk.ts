import { escapeXml } from "@/core/drawing";

/** A search as it is printed. */
export interface PrintedWalk {
  readonly title: string;
  readonly told: string;
  readonly lines: readonly string[];
}

/** The page of a search: what was told, then each check with its answer, in order. */
export function walkPage({ title, told, lines }: PrintedWalk): string {
  const items = lines.map((line) => `<li>${escapeXml(line)}</li>`).join("");
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escapeXml(title)}</title><style>
@page { margin: 18mm }
body { font: 12pt/1.45 sans-serif; color: #000 }
li { margin-bottom: 6pt; break-inside: avoid }
</style></head><body><h1>${escapeXml(title)}</h1><p>${escapeXml(told)}</p><ol>${items}</ol></body></html>`;
}
