import type { HouseholdSheet, SheetSection } from "@/core/handover";
import type { Job, SheetLanguage } from "@/core/job";
import type { PrintBlock, PrintDocument } from "@/core/paper";
import { lineWords, SHEET_WORDS } from "@/core/text";
import { titleBlock, type PrintSetting } from "./document-head";

/** Letters that somebody reads at arm's length from a fridge door. */
const POINT_SIZE = 14;
/** What the first page holds at that size on A4 or Letter, under the name of the firm. */
const LINES_A_PAGE = 29;
const LETTERS_A_LINE = 66;

const FIRST_PAGE: ReadonlySet<SheetSection["id"]> = new Set<SheetSection["id"]>(["use", "silent"]);

/** The household's sheet as it is printed: how to use the room and what to try when it is silent, then a page of details. */
export function householdDocument(job: Job, sheet: HouseholdSheet, language: SheetLanguage, setting: PrintSetting): PrintDocument {
  const words = SHEET_WORDS[language];
  const blocksOf = (sections: readonly SheetSection[]) => sections.flatMap((section) => sectionBlocks(job, section, language));
  const first = blocksOf(sheet.sections.filter(({ id }) => FIRST_PAGE.has(id)));
  const details = blocksOf(sheet.sections.filter(({ id }) => !FIRST_PAGE.has(id)));
  const isOnePage = linesOf(first) <= LINES_A_PAGE;
  return {
    title: words.title(sheet.room),
    language: words.tag,
    paper: setting.paper,
    pointSize: POINT_SIZE,
    head: titleBlock(setting, words.tag === "en" ? "en-GB" : words.tag),
    blocks: [
      { block: "heading", level: 1, words: words.title(sheet.room) },
      ...first,
      ...(details.length && isOnePage && linesOf(first) + linesOf(details) > LINES_A_PAGE ? [{ block: "new-page" } as const] : []),
      ...details,
    ],
    pageWords: words.page,
    missing: { mark: words.missingLetters, note: words.missingNote },
  };
}

function sectionBlocks(job: Job, { id, lines }: SheetSection, language: SheetLanguage): readonly PrintBlock[] {
  const blocks: PrintBlock[] = [];
  let steps: string[] = [];
  const closeSteps = () => {
    if (steps.length) blocks.push({ block: "list", ordered: steps.length > 1, items: steps });
    steps = [];
  };
  for (const line of lines) {
    const { words } = lineWords(job, language, line);
    if (!words) continue;
    if (line.as === "step") {
      steps.push(words);
      continue;
    }
    closeSteps();
    blocks.push(line.as === "head" ? { block: "heading", level: 3, words } : { block: "text", words });
  }
  closeSteps();
  return blocks.length ? [{ block: "heading", level: 2, words: SHEET_WORDS[language].headings[id] }, ...blocks] : [];
}

/** About how many lines of the page blocks take. */
const linesOf = (blocks: readonly PrintBlock[]): number =>
  blocks.reduce((sum, block) => {
    const lines = (words: string) => Math.max(1, Math.ceil(words.length / LETTERS_A_LINE));
    switch (block.block) {
      case "heading":
        return sum + lines(block.words) + (block.level === 2 ? 1 : 0.4);
      case "list":
        return sum + block.items.reduce((own, item) => own + lines(item), 0);
      case "text":
        return sum + lines(block.words);
      default:
        return sum;
    }
  }, 0);
