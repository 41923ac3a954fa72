import type { Arrival } from "@/core/chain";
import { castOf, type Household } from "@/core/cec";
import type { Content } from "@/core/device";
import { findDevice } from "@/core/job";
import { USES, type Use, type UsedPlayer } from "./sheet-facts";

/** What people do with a content of each kind. */
const USE_OF: Readonly<Record<Content["kind"], Use>> = {
  film: "film",
  series: "film",
  concert: "film",
  news: "tv",
  game: "game",
  music: "music",
};

/** A player that somebody watches, plays or hears, with its rows. */
export interface PlayerRows {
  readonly device: string;
  readonly uses: readonly Use[];
  readonly rows: readonly Arrival[];
  /** It is the screen itself: its own apps or tuner. */
  readonly isScreen: boolean;
}

export const whatFor = ({ content }: Pick<Arrival, "content">): Use => USE_OF[content.kind];

/** The players of a room in the order of the job, as the board has them. */
export function playersInUse(household: Household): readonly PlayerRows[] {
  const { job, solved } = household;
  const { screen } = castOf(household);
  const rows: readonly Arrival[] = solved.rows;
  return [...new Set(rows.map(({ player }) => player))].map((device) => {
    const own = rows.filter(({ player }) => player === device);
    const uses = new Set(own.map(whatFor));
    const isScreen = device === screen?.nature.device || findDevice(job, device)?.role === "screen";
    return { device, rows: own, isScreen, uses: USES.filter((use) => uses.has(use)) };
  });
}

/** Players with one more use of one of them. */
export function withUse(players: readonly UsedPlayer[], player: string, use: Use): readonly UsedPlayer[] {
  const uses = players.find((one) => one.player === player)?.uses;
  if (!uses) return [...players, { player, uses: [use] }];
  return players.map((one) => (one.player === player && !uses.includes(use) ? { player, uses: [...uses, use] } : one));
}
