import { MOST_PICTURE, scorePicture, type Arrival, type SolvedUnit } from "@/core/chain";
import type { Job } from "@/core/job";
import { wishedScoreOf } from "./wished";

/** What the rows of one content are worth: their sound, and their picture on each screen that matters. */
export interface UnitWorth {
  readonly sound: number;
  readonly pictures: ReadonlyMap<string, number>;
}

/** Stands for "some screen" where a content lit none when the search began. */
export const ANY_SCREEN = "";

/** A picture counts as much in a sum as a step from one sound verdict to the next. */
const PICTURE_STEP = 1_000_000 / MOST_PICTURE;

/** One number for a content, only for comparing sums. */
export const totalOf = ({ sound, pictures }: UnitWorth): number =>
  sound + [...pictures.values()].reduce((sum, picture) => sum + picture * PICTURE_STEP, 0);

/** What the rows of a content are worth, for the screens that mattered when the search began. Of several rows the one that sounds worst counts. */
export function worthOf(job: Job, rows: readonly Arrival[], screens: readonly string[]): UnitWorth {
  const pictures = screens.map((screen) => {
    const seen = rows.filter((row) => (screen === ANY_SCREEN ? row.screen !== null : row.screen === screen));
    return [screen, Math.max(0, ...seen.map(({ picture, pictureLosses }) => scorePicture(picture, pictureLosses)))] as const;
  });
  return { sound: Math.min(...rows.map((row) => wishedScoreOf(job, row))), pictures: new Map(pictures) };
}

/** The screens that matter for a content: those it reaches, every other one that something is plugged into, and any one where it lights none of them. */
export function screensOf({ devices, cables }: Job, { rows }: Pick<SolvedUnit, "rows">): readonly string[] {
  if (!rows[0]?.content.picture) return [];
  const reached = rows.flatMap(({ screen }) => screen ?? []);
  const inUse = devices.filter(({ id, role, display }) => role === "screen" && display && cables.some(({ to }) => to.device === id));
  const others = inUse.flatMap(({ id }) => (reached.includes(id) ? [] : [id]));
  return [...reached, ...others, ...(rows.some(({ picture }) => picture) ? [] : [ANY_SCREEN])];
}

/** Whether one worth is nowhere less than another. */
export const isAtLeast = (a: UnitWorth, b: UnitWorth): boolean =>
  a.sound >= b.sound && [...b.pictures].every(([screen, picture]) => (a.pictures.get(screen) ?? 0) >= picture);

/** The better of two at every point. */
export const higherOf = (a: UnitWorth, b: UnitWorth): UnitWorth => ({
  sound: Math.max(a.sound, b.sound),
  pictures: new Map([...a.pictures].map(([screen, picture]) => [screen, Math.max(picture, b.pictures.get(screen) ?? 0)])),
});
