import type { PaperBed, PaperCoding, PaperContent, PaperReturn, PaperRoom, PaperSound } from "./room";

/** Sound on paper: what it is coded as, and what became of it. */
export interface PaperStream {
  readonly coding: PaperCoding;
  readonly channels: PaperBed;
  readonly objects: boolean;
  readonly lossless: boolean;
  /** Lossy codings so far. */
  readonly codings: number;
}

export interface PaperArrival {
  readonly verdict: "full" | "reduced" | "silent";
  readonly arrives: PaperStream | null;
}

export const COUNT: Record<PaperBed, number> = { "2.0": 2, "5.1": 6, "7.1": 8 };
const fewer = (a: PaperBed, b: PaperBed): PaperBed => (COUNT[a] <= COUNT[b] ? a : b);
const find = (sounds: readonly PaperSound[], coding: PaperCoding) => sounds.find((one) => one.coding === coding);

const LOSSLESS: readonly PaperCoding[] = ["lpcm", "truehd", "mat", "dts-hd-ma"];

/** What fits a link: one IEC 60958 stream of 48 kHz frames by optical, of 192 kHz frames over ARC, all over eARC. LPCM has two channels but over eARC. */
const FITS: Record<"optical" | "arc" | "earc", readonly PaperCoding[]> = {
  optical: ["ac3", "dts"],
  arc: ["ac3", "dts", "eac3"],
  earc: ["ac3", "dts", "eac3", "truehd", "mat", "dts-hd-ma"],
};

/** Whether a coding fits one stream of 48 kHz frames. */
export const fitsOptical = (coding: PaperCoding): boolean => FITS.optical.includes(coding);

const through = (sounds: readonly PaperSound[], link: keyof typeof FITS): readonly PaperSound[] =>
  sounds.flatMap((sound) => {
    if (sound.coding === "lpcm") return [link === "earc" ? sound : { ...sound, channels: fewer(sound.channels, "2.0") }];
    return FITS[link].includes(sound.coding) ? [sound] : [];
  });

/** By optical nothing is reported back: stereo, Dolby Digital and DTS are taken for granted. */
export const GRANTED: readonly PaperSound[] = [
  { coding: "lpcm", channels: "2.0", objects: false },
  { coding: "ac3", channels: "5.1", objects: false },
  { coding: "dts", channels: "5.1", objects: false },
];
export const STEREO = GRANTED.slice(0, 1);

/** The return of a room: eARC needs three eARC ends and two switches; ARC needs a wire, two switches and control at both ends. */
export function returnOf({ tv, bar, wires }: PaperRoom): PaperReturn {
  const ends = [tv.returns, bar.returns, wires];
  if (ends.includes("none")) return "none";
  if (ends.every((end) => end === "earc") && tv.earc === "on" && bar.earc === "on") return "earc";
  return [tv.arc, bar.arc, tv.cec, bar.cec].includes("off") ? "none" : "arc";
}

/** A device that sends sound on, with the list that it sees. */
export interface Sender {
  readonly passes: readonly PaperSound[];
  readonly decodes: readonly PaperSound[];
  readonly lpcm: PaperBed;
  /** The channels that its own decoder makes when it is set to PCM. */
  readonly pcm: PaperBed;
  readonly makesDolbyDigital: boolean;
  readonly format: string;
  readonly lists: readonly PaperSound[];
}

/** Apps and consoles leave objects out where the list does not name them; those of a disc lie inside its stream. */
const LEAVES_OUT: readonly PaperCoding[] = ["eac3", "mat"];

/** The coding as it is. */
function untouched(by: Sender, track: PaperStream | undefined, isListed: boolean): PaperStream | null {
  const passed = track && find(by.passes, track.coding);
  const listed = track && find(by.lists, track.coding);
  if (!track || !passed || (isListed && !listed)) return null;
  const isHidden = isListed && LEAVES_OUT.includes(track.coding) && !listed?.objects;
  return {
    ...track,
    channels: fewer(fewer(track.channels, passed.channels), isListed && listed ? listed.channels : "7.1"),
    objects: track.objects && passed.objects && !isHidden,
  };
}

/** LPCM of the first track that it can decode. */
function decoded(by: Sender, tracks: readonly PaperStream[], most: PaperBed): PaperStream | null {
  const listed = find(by.lists, "lpcm");
  const track = tracks.find(({ coding }) => coding === "lpcm" || find(by.decodes, coding));
  if (!listed || !track) return null;
  const decoder = find(by.decodes, track.coding);
  const own = track.coding === "lpcm" ? track.channels : fewer(track.channels, decoder?.channels ?? "2.0");
  return { ...track, coding: "lpcm", channels: [most, by.lpcm, listed.channels].reduce(fewer, own), objects: false };
}

const again = (track: PaperStream, codings: number): PaperStream => ({
  coding: "ac3",
  channels: fewer(track.channels, "5.1"),
  objects: false,
  lossless: false,
  codings,
});

/** What has less of it and is listed: a track beside it, its DTS core, or Dolby Digital made of Dolby Digital Plus. */
function relative(by: Sender, tracks: readonly PaperStream[]): PaperStream | null {
  const [main, ...beside] = tracks;
  const other = beside.map((track) => untouched(by, track, true)).find((sent) => sent !== null);
  if (other) return other;
  if (main?.coding === "dts-hd-ma" && find(by.lists, "dts") && find(by.passes, "dts")) return { ...again(main, 1), coding: "dts" };
  const recodes = main?.coding === "eac3" && by.makesDolbyDigital && find(by.decodes, "eac3") && find(by.lists, "ac3");
  return main && recodes ? again(main, main.codings + 1) : null;
}

function best(by: Sender, tracks: readonly PaperStream[]): PaperStream | null {
  const listed = find(by.lists, "lpcm");
  const isSurround = listed && COUNT[listed.channels] >= 6 && COUNT[by.lpcm] >= 6;
  return (
    untouched(by, tracks[0], true) ?? (isSurround ? decoded(by, tracks, "7.1") : null) ?? relative(by, tracks) ?? decoded(by, tracks, "2.0")
  );
}

/** Surround as Dolby Digital whether it is listed or not: a track of it, else coded again; stereo stays LPCM. */
function dolbyDigital(by: Sender, tracks: readonly PaperStream[]): PaperStream | null {
  const ready = untouched(
    by,
    tracks.find(({ coding }) => coding === "ac3"),
    false,
  );
  if (ready) return ready;
  const source = tracks.find(({ coding, channels }) => COUNT[channels] > 2 && (coding === "lpcm" || find(by.decodes, coding)));
  return by.makesDolbyDigital && source ? again(source, source.codings + 1) : decoded(by, tracks, "2.0");
}

/** Bitstream concerns coded tracks: as listed, else the old codings all the same; LPCM stays as it is and what can only be decoded becomes stereo. */
function bitstream(by: Sender, tracks: readonly PaperStream[]): PaperStream | null {
  const old = tracks.find(({ coding }) => coding === "ac3" || coding === "dts");
  const core = tracks.find(({ coding }) => coding === "dts-hd-ma");
  const mastered = tracks.filter(({ coding }) => coding === "lpcm");
  return (
    untouched(by, tracks[0], true) ??
    relative(by, tracks) ??
    untouched(by, old ?? (core && { ...again(core, 1), coding: "dts" }), false) ??
    (mastered.length ? decoded(by, mastered, "7.1") : decoded(by, tracks, "2.0"))
  );
}

export function sent(by: Sender, tracks: readonly PaperStream[]): PaperStream | null {
  switch (by.format) {
    case "pcm":
      return decoded(by, tracks, by.pcm);
    case "stereo":
      return decoded(by, tracks, "2.0");
    case "dolby-digital":
      return dolbyDigital(by, tracks);
    case "bitstream":
      return bitstream(by, tracks);
    case "pass-through":
      return untouched(by, tracks[0], false) ?? best(by, tracks);
    default:
      return best(by, tracks);
  }
}

export const mastered = ({ tracks }: PaperContent): readonly PaperStream[] =>
  tracks.map(({ coding, channels, objects }) => {
    const lossless = LOSSLESS.includes(coding);
    return { coding, channels, objects: objects !== undefined, lossless, codings: lossless ? 0 : 1 };
  });

/** What comes back to the bar of what is at a television; null where no way is open. */
function fromTv(room: PaperRoom, tracks: readonly PaperStream[]): PaperStream | null {
  const { tv, bar, way } = room;
  const link = way === "tv-optical" ? "optical" : returnOf(room);
  if (tv.speakers === "own" || link === "none") return null;
  const lists = link === "optical" ? GRANTED : through(bar.decodes, link);
  const stream = sent({ ...tv, pcm: "2.0", lists }, tracks);
  if (!stream) return null;
  return stream.coding === "lpcm" || FITS[link].includes(stream.coding) ? stream : null;
}

/** What a television lists to players: its own list, and what its return reports and it would hand on. */
function listedByTv(room: PaperRoom): readonly PaperSound[] {
  const { tv, bar, way } = room;
  const link = returnOf(room);
  if (way !== "tv-return" || tv.speakers === "own" || link === "none" || !["auto", "pass-through"].includes(tv.format)) return tv.lists;
  const reported = through(bar.decodes, link).flatMap((sound): PaperSound[] => {
    if (sound.coding === "lpcm") return [{ ...sound, channels: fewer(sound.channels, tv.lpcm) }];
    const passed = find(tv.passes, sound.coding);
    return passed ? [{ ...sound, channels: fewer(sound.channels, passed.channels), objects: sound.objects && passed.objects }] : [];
  });
  const codings = [...new Set([...tv.lists, ...reported].map(({ coding }) => coding))];
  return codings.map((coding) => {
    const rows = [...tv.lists, ...reported].filter((row) => row.coding === coding);
    const channels = rows.reduce<PaperBed>((most, row) => (COUNT[row.channels] > COUNT[most] ? row.channels : most), "2.0");
    return { coding, channels, objects: rows.some(({ objects }) => objects) };
  });
}

const SHOWN = { "2ch": STEREO, "5.1": GRANTED } as const;

/** What reaches the bar's decoder of the player. */
function reaching(room: PaperRoom): PaperStream | null {
  const { player, bar, way, content, shows } = room;
  const from = (lists: readonly PaperSound[]) => sent({ ...player, pcm: "7.1", lists }, mastered(content));
  switch (way) {
    case "bar-input":
      return from(bar.decodes);
    case "extractor": {
      // Its optical output has what came in, where that fits: no decoder, no mind of its own.
      const stream = from(shows === "screen" ? room.tv.lists : SHOWN[shows]);
      const fits = stream?.coding === "lpcm" ? stream.channels === "2.0" : stream && FITS.optical.includes(stream.coding);
      return fits ? stream : null;
    }
    case "tv-return":
    case "tv-optical": {
      const stream = from(listedByTv(room));
      return stream && fromTv(room, [stream]);
    }
  }
}

/** The channels, objects and losslessness that this bar could play of a content; it keeps objects where it can take some form of them that has any. */
function authored({ content, bar }: Pick<PaperRoom, "content" | "bar">): Omit<PaperStream, "coding" | "codings"> {
  const keeps = (coding: PaperCoding) => find(bar.decodes, coding)?.objects ?? false;
  const kept = content.tracks.some(({ coding, objects }) => objects && (keeps(coding) || (objects === "atmos" && keeps("mat"))));
  const tracks = mastered(content).map((track) => ({
    channels: fewer(track.channels, bar.bed),
    objects: track.objects && kept,
    lossless: track.lossless,
  }));
  const value = (track: (typeof tracks)[number]) => COUNT[track.channels] * 100 + Number(track.objects) * 10 + Number(track.lossless);
  return tracks.reduce((most, track) => (value(track) > value(most) ? track : most));
}

export function judged(room: Pick<PaperRoom, "content" | "bar">, stream: PaperStream | null): PaperArrival {
  const { content, bar } = room;
  const decoder = stream && find(bar.decodes, stream.coding);
  const isTooWide = stream?.coding === "lpcm" && decoder && COUNT[stream.channels] > COUNT[decoder.channels];
  if (!stream || !decoder || isTooWide) return { verdict: "silent", arrives: null };
  const goal = authored(room);
  const isStereo = bar.mode === "stereo";
  const heard = fewer(isStereo ? "2.0" : stream.channels, bar.bed);
  const isFull =
    COUNT[heard] >= COUNT[goal.channels] &&
    (!goal.objects || (stream.objects && decoder.objects && !isStereo)) &&
    (!goal.lossless || stream.lossless) &&
    stream.codings <= Math.max(...mastered(content).map(({ codings }) => codings));
  return { verdict: isFull ? "full" : "reduced", arrives: stream };
}

/** What arrives of the player. */
export const playerOnPaper = (room: PaperRoom): PaperArrival => judged(room, reaching(room));

/** What arrives of the television's own app, which has the same content. */
export const appOnPaper = (room: PaperRoom): PaperArrival => {
  const hasWay = room.way === "tv-return" || room.way === "tv-optical" || room.way === "bar-input";
  return judged(room, hasWay ? fromTv(room, mastered(room.content)) : null);
};
