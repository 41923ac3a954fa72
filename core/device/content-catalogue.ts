import { Content } from "./content";

const HD = { mode: "1920x1080@50", depth: 8, chroma: "444", hdr: "sdr", protected: true } as const;
const DISC = { mode: "3840x2160@24", depth: 12, chroma: "422", hdr: "hdr10", protected: true } as const;
const DVD = { mode: "720x576i@50", depth: 8, chroma: "444", hdr: "sdr", protected: true } as const;
const OLD_GAME = { mode: "720x480i@60", depth: 8, chroma: "444", hdr: "sdr", protected: false } as const;
const QUICK_GAME = { mode: "3840x2160@120", depth: 10, chroma: "444", hdr: "hdr10", protected: false, gaming: true } as const;
const STREAM = { mode: "3840x2160@60", depth: 12, chroma: "422", hdr: "hdr10", protected: true } as const;

/** The stereo version that a stream offers beside its surround one. */
const STREAM_STEREO = { coding: "aac", channels: "2.0" } as const;

/**
 * Ordinary content by name, so that an archetype or a job file can say `"film-truehd-atmos"`.
 * Tracks as delivered: a film disc carries AC-3 beside TrueHD; a stream offers DD+ with or without JOC; a broadcast AC-3 or AAC.
 */
export const CONTENT_CATALOGUE: readonly Content[] = [
  {
    id: "film-truehd-atmos",
    name: "film",
    kind: "film",
    tracks: [
      { coding: "truehd", channels: "7.1", objects: "atmos" },
      { coding: "ac3", channels: "5.1" },
    ],
    picture: DISC,
  },
  { id: "concert-dts-hd-ma", name: "concert", kind: "concert", tracks: [{ coding: "dts-hd-ma", channels: "5.1" }], picture: DISC },
  {
    id: "film-dtsx",
    name: "film with DTS:X",
    kind: "film",
    tracks: [{ coding: "dts-hd-ma", channels: "7.1", objects: "dtsx" }],
    picture: DISC,
  },
  {
    id: "film-bluray",
    name: "film in HD",
    kind: "film",
    tracks: [
      { coding: "truehd", channels: "5.1" },
      { coding: "ac3", channels: "5.1" },
    ],
    picture: { ...HD, mode: "1920x1080@24" },
  },
  {
    id: "film-dts",
    name: "film with DTS",
    kind: "film",
    tracks: [{ coding: "dts", channels: "5.1" }],
    picture: { ...HD, mode: "1920x1080@24" },
  },
  { id: "film-dvd", name: "film on DVD", kind: "film", tracks: [{ coding: "ac3", channels: "5.1" }], picture: DVD },
  {
    id: "film-ddp-atmos",
    name: "film",
    kind: "film",
    tracks: [{ coding: "eac3", channels: "5.1", objects: "atmos" }, STREAM_STEREO],
    picture: STREAM,
  },
  {
    id: "series-ddp-atmos",
    name: "series",
    kind: "series",
    tracks: [{ coding: "eac3", channels: "5.1", objects: "atmos" }, STREAM_STEREO],
    picture: STREAM,
  },
  { id: "series-ddp", name: "series", kind: "series", tracks: [{ coding: "eac3", channels: "5.1" }, STREAM_STEREO], picture: STREAM },
  {
    id: "series-ddp-hd",
    name: "series in HD",
    kind: "series",
    tracks: [{ coding: "eac3", channels: "5.1" }, STREAM_STEREO],
    picture: { ...HD, mode: "1920x1080@60" },
  },
  {
    id: "game-mat-atmos",
    name: "game",
    kind: "game",
    tracks: [
      { coding: "mat", channels: "7.1", objects: "atmos" },
      { coding: "lpcm", channels: "7.1" },
    ],
    picture: { mode: "3840x2160@60", depth: 10, chroma: "420", hdr: "hdr10", protected: false },
  },
  {
    id: "game-lpcm",
    name: "game",
    kind: "game",
    tracks: [{ coding: "lpcm", channels: "7.1" }],
    picture: { ...HD, mode: "1920x1080@60", protected: false },
  },
  {
    id: "game-quick",
    name: "quick game",
    kind: "game",
    tracks: [
      { coding: "mat", channels: "7.1", objects: "atmos" },
      { coding: "lpcm", channels: "7.1" },
    ],
    picture: QUICK_GAME,
  },
  { id: "game-old", name: "old game", kind: "game", tracks: [{ coding: "analogue", channels: "2.0" }], picture: OLD_GAME },
  { id: "broadcast-ac3", name: "film on air", kind: "film", tracks: [{ coding: "ac3", channels: "5.1" }], picture: HD },
  { id: "news-aac", name: "news", kind: "news", tracks: [{ coding: "aac", channels: "2.0" }], picture: HD },
  { id: "tape", name: "music", kind: "music", tracks: [{ coding: "analogue", channels: "2.0" }] },
  {
    id: "music-hires",
    name: "music in high resolution",
    kind: "music",
    tracks: [{ coding: "lpcm", channels: "2.0", sampleRateKHz: 192 }],
  },
  { id: "music-lpcm", name: "music", kind: "music", tracks: [{ coding: "lpcm", channels: "2.0" }] },
].map((row) => Content.parse(row));

export const findContent = (id: string): Content | undefined => CONTENT_CATALOGUE.find((content) => content.id === id);
