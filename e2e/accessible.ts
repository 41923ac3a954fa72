import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** Rules of axe to check; all of them where none are named. */
type Rules = { readonly rules?: readonly string[]; readonly tags?: readonly string[] };

/**
 * What axe finds wrong on a page, with the elements. The pages have no frames, so axe runs in one piece; and it works out the details
 * of violations alone, which takes a third of the time.
 */
async function violationsOn(page: Page, { rules, tags }: Rules = {}) {
  const axe = new AxeBuilder({ page }).options({ resultTypes: ["violations"] }).setLegacyMode(true);
  if (rules) axe.withRules([...rules]);
  if (tags) axe.withTags([...tags]);
  return (await axe.analyze()).violations;
}

type Violation = Awaited<ReturnType<typeof violationsOn>>[number];

const describe = ({ id, nodes }: Violation) => [
  id,
  nodes.map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary ?? ""}`),
];

/** Fails where axe finds anything serious or critical. */
export async function expectNoSeriousIssue(page: Page, rules?: readonly string[]): Promise<void> {
  const violations = await violationsOn(page, rules ? { rules } : {});
  expect(violations.filter(({ impact }) => impact === "serious" || impact === "critical").map(describe)).toEqual([]);
}

/** Fails where axe finds anything at all against levels A and AA of WCAG 2.0. */
export async function expectNoIssueOfLevelAA(page: Page): Promise<void> {
  expect((await violationsOn(page, { tags: ["wcag2a", "wcag2aa"] })).map(describe)).toEqual([]);
}

/** The whole page is as wide as its window at most: nobody has to scroll sideways. */
export const expectNoSidewaysScroll = async (page: Page): Promise<void> =>
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
