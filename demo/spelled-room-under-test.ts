import fc from "fast-check";
import { BED_IDS, CODING_IDS, PICTURE_MODES, SETTING_KEYS, settingFact } from "@/core/facts";
import { QUIRKS } from "@/core/device";
import { applyCommand, freeJoins, type Job } from "@/core/job";
import { jobByHand } from "./by-hand-under-test";

/**
 * For tests: rooms whose devices nobody has seen, spelled out by hand in every way that the job file allows: sockets, inner routes, lists,
 * settings, conditions and habits at will. Most make little sense; each must be answered all the same.
 */

type Connector = "hdmi" | "optical" | "coaxial" | "rca" | "minijack" | "bluetooth";
type Role = "player" | "box" | "screen" | "sound";

const bed = fc.constantFrom(...BED_IDS);
const delay = fc.constantFrom(null, 0, 15, 120);
const sound = fc.record({ coding: fc.constantFrom(...CODING_IDS), channels: bed, objects: fc.boolean() });
const sounds = fc.uniqueArray(sound, { minLength: 2, maxLength: 10, selector: ({ coding }) => coding });

const CONNECTORS: readonly Connector[] = ["hdmi", "hdmi", "hdmi", "optical", "coaxial", "rca", "minijack", "bluetooth"];

const port = (index: number, direction: "in" | "out") =>
  fc
    .record({
      connector: fc.constantFrom(...CONNECTORS),
      rate: fc.constantFrom(null, 10.2, 18, 48),
      hdcp: fc.constantFrom(null, "none", "1.4", "2.2", "2.3"),
      returns: fc.constantFrom(null, "none", "arc", "earc", "earc"),
    })
    .map(({ connector, rate, hdcp, returns }) => {
      const id = `${connector}-${direction}${String(index)}`;
      return { id, label: id, connector, direction, ...(connector === "hdmi" ? { maxGbps: rate, hdcp, returns } : {}) };
    });
const ports = (direction: "in" | "out", least: number, most: number) =>
  fc.integer({ min: least, max: most }).chain((count) => fc.tuple(...Array.from({ length: count }, (_, index) => port(index, direction))));

const content = fc.record({
  id: fc.constantFrom("film", "song", "game", "news"),
  name: fc.constant("something"),
  kind: fc.constantFrom("film", "series", "concert", "news", "game", "music"),
  tracks: fc.array(
    fc.record({ coding: fc.constantFrom(...CODING_IDS), channels: bed, objects: fc.constantFrom("none", "none", "atmos", "dtsx") }),
    { minLength: 1, maxLength: 2 },
  ),
  picture: fc.option(
    fc.record({
      mode: fc.constantFrom(...PICTURE_MODES),
      depth: fc.constantFrom(8, 10, 12),
      chroma: fc.constantFrom("444", "422", "420"),
      hdr: fc.constantFrom("sdr", "hdr10", "dolby-vision"),
      protected: fc.boolean(),
    }),
  ),
});

const EVERYTHING = CODING_IDS.map((coding) => ({ coding, channels: "7.1", objects: true }));

/** What a device is made of, before its sockets are known by name. */
const parts = (role: Role) =>
  fc.record({
    ins: ports("in", role === "player" ? 0 : 1, role === "player" ? 0 : 3),
    outs: ports("out", role === "player" || role === "box" ? 1 : 0, role === "player" ? 2 : 3),
    contents: fc.uniqueArray(content, { maxLength: 2, selector: ({ id }) => id }),
    /** It hands on and plays everything, beside its odd routes: where nothing made sense, nearly every room would be silent. */
    isPlain: fc.boolean(),
    hasSource: role === "player" ? fc.constant(true) : fc.boolean(),
    decodes: fc.option(sounds, { freq: 6 }),
    routes: fc.array(
      fc.record({
        picture: fc.boolean(),
        from: fc.array(fc.nat(20), { minLength: 1, maxLength: 6 }),
        to: fc.array(fc.nat(20), { minLength: 1, maxLength: 6 }),
        passes: fc.option(sounds, { freq: 8 }),
        lpcm: bed,
        pcm: bed,
        encodes: fc.subarray(["ac3", "eac3", "dts"]),
        format: fc.option(fc.nat(20)),
        opens: fc.option(fc.tuple(fc.nat(20), fc.nat(20)), { freq: 1 }),
        blind: fc.boolean(),
        wrapsObjects: fc.boolean(),
        delayMs: delay,
      }),
      { minLength: 2, maxLength: 6 },
    ),
    presents: fc.array(
      fc.record({
        rule: fc.constantFrom("list", "decoders", "copy", "common"),
        ports: fc.array(fc.nat(20), { minLength: 1, maxLength: 2 }),
        of: fc.array(fc.nat(20), { minLength: 1, maxLength: 2 }),
        sound: fc.option(sounds, { freq: 6 }),
        widened: fc.boolean(),
      }),
      { maxLength: 3 },
    ),
    settings: fc.uniqueArray(fc.tuple(fc.constantFrom(...SETTING_KEYS), fc.nat(20), fc.nat(20)), {
      maxLength: 6,
      selector: ([key]) => key,
    }),
    speakers: fc.option(fc.record({ bed, heights: fc.constantFrom(0, 2), delayMs: delay }), { freq: 8 }),
    display: fc.option(
      fc.record({
        maxMode: fc.constantFrom(...PICTURE_MODES),
        hdr: fc.subarray(["hdr10", "dolby-vision"]),
        delayMs: delay,
        gameDelayMs: delay,
      }),
      { freq: 8 },
    ),
    speaksCec: fc.boolean(),
    quirks: fc.subarray([...QUIRKS], { maxLength: 2 }),
    volume: fc.constantFrom(null, "remote-and-cec", "remote", "cec", "knob", "fixed"),
    state: fc.constantFrom(...Array<"works">(12).fill("works"), "no-power", "headphones", "old-firmware"),
  });

const at = <Item>(items: readonly Item[], index: number): Item | undefined => items[index % Math.max(1, items.length)];
const some = <Item>(items: readonly Item[], indexes: readonly number[]): Item[] => [
  ...new Set(indexes.flatMap((index) => at(items, index) ?? [])),
];

type Parts = ReturnType<typeof parts> extends fc.Arbitrary<infer One> ? One : never;

function spelled(role: Role, id: string, of: Parts): Record<string, unknown> {
  const { ins, outs, contents, hasSource, routes, presents, speakers, display } = of;
  const sockets = [...ins, ...outs];
  const own = hasSource ? ["own"] : [];
  const hears = role === "sound" || role === "screen";
  const starts = [...ins.map((one) => one.id), ...own];
  const ends = (picture: boolean) => [
    ...outs.flatMap(({ id: name, connector }) => (!picture || connector === "hdmi" ? [name] : [])),
    ...(picture ? [] : ins.flatMap(({ id: name, connector }) => (connector === "hdmi" ? [name] : []))),
    ...(picture && display && role === "screen" ? ["display"] : []),
    ...(!picture && speakers && hears ? ["speakers", "speakers"] : []),
  ];
  const settings = of.settings.map(([key, count, found]) => {
    const { options, also } = settingFact(key);
    const all = [
      ...options.map(({ value }) => value),
      ...(also === "sockets" ? sockets.map((one) => one.id) : []),
      ...(also === "milliseconds" ? ["0", "40", "120"] : []),
    ];
    const offered = all.slice(0, 2 + (count % Math.max(1, all.length)));
    return { key, options: offered, found: at([...offered, null], found) ?? null };
  });
  const plainRoutes = [false, true].flatMap((picture) => {
    const to = [...new Set(ends(picture))];
    if (!of.isPlain || to.length === 0 || starts.length === 0) return [];
    return [{ kind: picture ? "picture" : "sound", from: starts, to, ...(picture ? {} : { passes: EVERYTHING, lpcm: "7.1", pcm: "7.1" }) }];
  });
  const inlets = ins.flatMap(({ id: name, connector }) => (connector === "hdmi" ? [name] : []));
  return {
    id,
    name: id,
    role,
    ports: sockets,
    sources: hasSource ? [{ id: "own", name: "own", kind: role === "player" ? "media" : "app", contents }] : [],
    decodes: of.isPlain ? EVERYTHING : of.decodes,
    speakers: hears ? speakers : null,
    display: role === "screen" ? display : null,
    routes: [
      ...plainRoutes,
      ...routes.flatMap(({ picture, from, to, format, opens, ...rest }) => {
        const [whence, whither] = [some(starts, from), some(ends(picture), to)];
        if (whence.length === 0 || whither.length === 0) return [];
        const gate = opens && at(settings, opens[0]);
        const open = gate ? { opens: { setting: gate.key, value: at(gate.options, opens[1]) } } : {};
        const base = { from: whence, to: whither, delayMs: rest.delayMs, ...open };
        if (picture) return [{ kind: "picture", ...base }];
        const chooses = format === null ? undefined : at(settings, format)?.key;
        return [{ kind: "sound", ...base, ...rest, ...(chooses ? { format: chooses } : {}) }];
      }),
    ],
    presents: presents.flatMap(({ rule, ports: which, of: others, sound: listed, widened }): object[] => {
      const [shown, seen] = [
        some(inlets, which),
        some(
          outs.map((one) => one.id),
          others,
        ),
      ];
      if (shown.length === 0) return [];
      if (rule === "list") return [{ rule, ports: shown, sound: listed, ...(widened ? { widenedBy: shown[0] } : {}) }];
      if (rule === "decoders") return [{ rule, ports: shown }];
      if (seen.length === 0) return [];
      return [{ rule, ports: shown, of: rule === "copy" ? seen[0] : seen }];
    }),
    settings,
    speaksCec: of.speaksCec,
    control: { quirks: of.quirks },
    volume: of.volume,
    state: of.state,
  };
}

/** Job files of such rooms as they are read, with some of their free sockets joined. */
export const spelledRooms: fc.Arbitrary<Job> = fc
  .record({
    players: fc.array(parts("player"), { minLength: 1, maxLength: 3 }),
    boxes: fc.array(parts("box"), { maxLength: 2 }),
    screens: fc.array(parts("screen"), { minLength: 1, maxLength: 2 }),
    systems: fc.array(parts("sound"), { minLength: 1, maxLength: 2 }),
    plugs: fc.array(fc.nat(1000), { minLength: 3, maxLength: 12 }),
  })
  .map(({ players, boxes, screens, systems, plugs }) => {
    const devices = [
      ...players.map((one, index) => spelled("player", `player${String(index)}`, one)),
      ...boxes.map((one, index) => spelled("box", `box${String(index)}`, one)),
      ...screens.map((one, index) => spelled("screen", `screen${String(index)}`, one)),
      ...systems.map((one, index) => spelled("sound", `system${String(index)}`, one)),
    ];
    return plugs.reduce(
      (job, which) => {
        const join = at(freeJoins(job), which);
        const applied = join && applyCommand(job, join.command);
        return applied?.ok ? applied.value.job : job;
      },
      jobByHand({ name: "Spelled out", devices }),
    );
  });
