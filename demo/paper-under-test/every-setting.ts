import { returnOf } from "./arrival";
import { FORMATS, type PaperRoom } from "./room";

const SWITCH = ["on", "off"] as const;

/** The room once for each return that its switches can make of it. */
function everyReturn(room: PaperRoom): readonly PaperRoom[] {
  const switches = SWITCH.flatMap((earc) => SWITCH.flatMap((arc) => SWITCH.map((cec) => ({ earc, arc, cec }))));
  const rooms = switches.flatMap((ofTv) =>
    switches.map((ofBar): PaperRoom => ({ ...room, tv: { ...room.tv, ...ofTv }, bar: { ...room.bar, ...ofBar } })),
  );
  return [...new Map(rooms.map((one) => [returnOf(one), one])).values()];
}

/** The room with every switch and menu at any of its values, and the player in either of the two sockets where both cables lie. */
export function everySetting(room: PaperRoom): readonly PaperRoom[] {
  const ways = room.way === "tv-return" || room.way === "bar-input" ? (["tv-return", "bar-input"] as const) : [room.way];
  const shown = room.way === "extractor" ? (["2ch", "5.1", "screen"] as const) : [room.shows];
  return everyReturn(room).flatMap(({ tv, bar }) =>
    ways.flatMap((way) =>
      shown.flatMap((shows) =>
        FORMATS.flatMap((sends) =>
          (["auto", "pass-through", "pcm", "dolby-digital"] as const).map((format) => ({
            ...room,
            way,
            shows,
            player: { ...room.player, format: sends },
            tv: { ...tv, format, speakers: "external" as const },
            bar: { ...bar, mode: "auto" as const },
          })),
        ),
      ),
    ),
  );
}
