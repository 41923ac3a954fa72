import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import {
  bytesOfHex,
  edidBytesOf,
  edidOfDevice,
  edidReport,
  findingWords,
  mergeEdids,
  readEdid,
  soundListOf,
  writeEdid,
  type Edid,
} from "@/core/edid";

const SEED = 861;
const ofArchetype = (archetype: string): Edid => {
  const edid = edidOfDevice(fromShelfOrThrow(archetype, { id: "one" }));
  if (!edid) throw new Error(`${archetype} shows none`);
  return edid;
};
const report = (edid: Edid) => edidReport(edid, readEdid(writeEdid(edid)).findings);
/** Every archetype that shows a list of its own, with its bytes. */
const MADE = SHELF.flatMap(({ archetype }) => {
  const edid = edidOfDevice(fromShelfOrThrow(archetype, { id: "one" }));
  return edid ? [[archetype, edid] as const] : [];
});
/** The fault that must be made good again by hand: a byte changed and the checksum with it. */
const patched = (bytes: Uint8Array, changes: Readonly<Record<number, number>>): Uint8Array => {
  const copy = Uint8Array.from(bytes);
  for (const [index, byte] of Object.entries(changes)) copy[Number(index)] = byte;
  for (let block = 0; block < copy.length / 128; block += 1) {
    const sum = copy.subarray(block * 128, block * 128 + 127).reduce((a, b) => a + b, 0);
    copy[block * 128 + 127] = (256 - (sum % 256)) % 256;
  }
  return copy;
};
const codes = (bytes: Uint8Array) => readEdid(bytes).findings.map(({ code }) => code);

describe("reading", () => {
  test("survives any bytes, and writes them back to the byte", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 700 }), (bytes) => {
        const { edid, findings } = readEdid(bytes);
        expect([...writeEdid(edid)]).toEqual([...bytes]);
        for (const finding of findings) expect(findingWords(finding)).toMatch(/^[A-Z].*\.$/);
        edidReport(edid, findings);
      }),
      { numRuns: 400, seed: SEED },
    );
  });

  test("survives real-shaped blocks with bytes thrown about, and writes them back", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MADE),
        fc.array(fc.tuple(fc.nat({ max: 255 }), fc.nat({ max: 255 })), { maxLength: 12 }),
        ([, edid], throws) => {
          const bytes = Uint8Array.from(writeEdid(edid));
          for (const [index, byte] of throws) bytes[index] = byte;
          const read = readEdid(bytes);
          expect([...writeEdid(read.edid)]).toEqual([...bytes]);
          edidReport(read.edid, read.findings);
          soundListOf(read.edid);
        },
      ),
      { numRuns: 600, seed: SEED },
    );
  });

  test("survives every truncation", () => {
    const bytes = writeEdid(ofArchetype("receiver-92"));
    for (let length = 0; length < bytes.length; length += 1) {
      const cut = bytes.subarray(0, length);
      const { edid, findings } = readEdid(cut);
      expect([...writeEdid(edid)]).toEqual([...cut]);
      expect(findings.length).toBeGreaterThan(0);
    }
  });

  test("names each fault in its block and goes on", () => {
    const good = writeEdid(ofArchetype("tv-earc"));
    expect(codes(good)).toEqual([]);
    expect(codes(patched(good, { 0: 1 }))).toEqual(["header"]);
    expect(codes(patched(good, { 126: 3 }))).toEqual(["extension-count"]);
    expect(codes(Uint8Array.from(good, (byte, index) => (index === 200 ? byte ^ 1 : byte)))).toContain("checksum");
    // The video data block comes first, at byte 132: a length of 31 more than there is runs beyond the timings.
    expect(codes(patched(good, { 130: 10 }))).toContain("data-block-overruns");
    expect(codes(patched(good, { 128: 0x55 }))).toEqual(["unknown-extension"]);
  });

  test("a faulty block does not hide the others", () => {
    const good = writeEdid(ofArchetype("tv-earc"));
    const bad = Uint8Array.from(good);
    bad[127] = (bad[127] ?? 0) ^ 0xff;
    const { edid, findings } = readEdid(bad);
    expect(findings).toHaveLength(1);
    expect(edidReport(edid, findings)).toMatchObject({ valid: false, audio: report(ofArchetype("tv-earc")).audio });
  });

  test("reads an audio data block written by hand", () => {
    // 0x09 0x07 0x07: LPCM, 2 channels, 32–48 kHz, 16–24 bit. 0x15 0x07 0x50: AC-3, 6 channels, 640 kb/s.
    // 0x57 0x06 0x01: E-AC-3, 8 channels, 44.1 and 48 kHz, with JOC. 0x67 0x54 0x03: MAT with objects. 0x3d 0x1e 0xc0: DTS, 6 channels, 1536 kb/s.
    const sads = [0x09, 0x07, 0x07, 0x15, 0x07, 0x50, 0x57, 0x06, 0x01, 0x67, 0x54, 0x03, 0x3d, 0x1e, 0xc0];
    const cta = [0x02, 3, 4 + 1 + sads.length, 0x40, (1 << 5) | sads.length, ...sads];
    const bytes = Uint8Array.from([
      ...writeEdid(ofArchetype("tv-earc")).subarray(0, 128),
      ...cta,
      ...Array<number>(128 - cta.length).fill(0),
    ]);
    expect(edidReport(readEdid(patched(bytes, {})).edid, []).audio).toEqual([
      { coding: "lpcm", channels: 2, sampleRatesKHz: [32, 44.1, 48], bits: [16, 20, 24] },
      { coding: "ac3", channels: 6, sampleRatesKHz: [32, 44.1, 48], maxKbps: 640 },
      { coding: "eac3", channels: 8, sampleRatesKHz: [44.1, 48], atmos: true },
      { coding: "mat", channels: 8, sampleRatesKHz: [48, 96, 192], atmos: true },
      { coding: "dts", channels: 6, sampleRatesKHz: [44.1, 48, 88.2, 96], maxKbps: 1536 },
    ]);
  });

  test("finds the audio that a DisplayID extension carries", () => {
    // Section of version 2.0: tag 0x81 holds CTA data blocks; here one audio block of stereo LPCM.
    const inner = [(1 << 5) | 3, 0x09, 0x07, 0x07];
    const section = [0x70, 0x20, 3 + inner.length, 0x00, 0x00, 0x81, 0x00, inner.length, ...inner];
    const bytes = Uint8Array.from([
      ...writeEdid(ofArchetype("tv-earc")).subarray(0, 128),
      ...section,
      ...Array<number>(128 - section.length).fill(0),
    ]);
    const { edid } = readEdid(patched(bytes, {}));
    expect(edidReport(edid, []).audio).toMatchObject([{ coding: "lpcm", channels: 2 }]);
    expect([...writeEdid(edid)]).toEqual([...patched(bytes, {})]);
  });
});

describe("files", () => {
  const bytes = writeEdid(ofArchetype("bar-one-input"));
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0"));
  test.each([
    ["one long line", hex.join("")],
    ["pairs and lines of sixteen", hex.map((pair, index) => pair + (index % 16 === 15 ? "\n" : " ")).join("")],
    ["0x and commas", hex.map((pair) => `0x${pair.toUpperCase()}`).join(", ")],
    [
      "line labels",
      hex.map((pair, index) => (index % 16 ? "" : `${index ? "\n" : ""}${index.toString(16).padStart(4, "0")}: `) + pair).join(" "),
    ],
  ])("hexadecimal text as %s", (_what, text) => expect([...bytesOfHex(text).bytes]).toEqual([...bytes]));
  test("raw bytes are told from text", () => expect([...edidBytesOf(bytes).bytes]).toEqual([...bytes]));
  test("text that ends in words is read up to them, and that is said", () => {
    const { bytes: read, findings } = bytesOfHex(`${hex.join("")} and more`);
    expect(read.length).toBe(bytes.length);
    expect(findings[0]?.code).toBe("not-hex");
  });
  test("any text at all is survived", () =>
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 400 }), (text) => {
        const { edid, findings } = readEdid(edidBytesOf(new TextEncoder().encode(text)).bytes);
        edidReport(edid, findings);
      }),
      { numRuns: 300, seed: SEED },
    ));
});

describe("merging", () => {
  const [screen, sound] = [ofArchetype("tv-earc-120"), ofArchetype("receiver-92")];
  const merged = mergeEdids(screen, sound);
  test("takes pictures, place and maker from the one and sound from the other", () => {
    const [a, b, m] = [report(screen), report(sound), report(merged)];
    expect(m).toMatchObject({ valid: true, vics: a.vics, hdmi: a.hdmi, hdmiForum: a.hdmiForum, name: a.name, hdr: a.hdr });
    expect(m.audio).toEqual(b.audio);
    expect(m.speakers).toEqual(b.speakers);
  });
  test("keeps byte 3 of every CTA extension equal, also where the sound gets an extension of its own", () => {
    for (const picture of [ofArchetype("tv-earc"), ofArchetype("projector"), ofArchetype("tv-no-return")])
      for (const heard of [ofArchetype("receiver-92"), ofArchetype("receiver-51")]) {
        const crowded: Edid = {
          ...picture,
          // The first extension is full of timings, and its native count is another than that of a made one.
          extensions: picture.extensions.map((one) =>
            one.kind === "cta"
              ? { ...one, flags: (one.flags & 0xf0) | 3, timings: new Uint8Array(123).fill(1), dataBlocks: [], checksum: null, raw: null }
              : one,
          ),
        };
        const flags = mergeEdids(crowded, heard).extensions.flatMap((one) => (one.kind === "cta" ? [one.flags] : []));
        expect(flags.length).toBeGreaterThan(1);
        expect(new Set(flags).size).toBe(1);
      }
  });

  test("with itself changes nothing that is said", () => expect(report(mergeEdids(screen, screen))).toEqual(report(screen)));
  test("of any two of the shelf keeps both rules", () => {
    for (const [, picture] of MADE)
      for (const [, heard] of MADE) {
        const m = report(mergeEdids(picture, heard));
        expect(m).toMatchObject({ valid: true, vics: report(picture).vics });
        expect(m.audio).toEqual(report(heard).audio);
      }
  });
});

describe("making", () => {
  test("says of sound what the device lists", () => {
    expect(soundListOf(ofArchetype("bar-one-input"))).toEqual(
      expect.arrayContaining([
        { coding: "lpcm", channels: "7.1", objects: false },
        { coding: "eac3", channels: "7.1", objects: true },
        { coding: "mat", channels: "7.1", objects: true },
        { coding: "dts-hd-ma", channels: "7.1", objects: false },
      ]),
    );
    expect(soundListOf(ofArchetype("monitor-stereo"))).toEqual([{ coding: "lpcm", channels: "2.0", objects: false }]);
  });
  test("a device without an HDMI input, or with a list nobody knows, has none", () => {
    expect(edidOfDevice(fromShelfOrThrow("amplifier-knob", { id: "a" }))).toBeNull();
    const tv = fromShelfOrThrow("tv-earc", { id: "tv" });
    expect(
      edidOfDevice({ ...tv, presents: tv.presents.map((rule) => (rule.rule === "list" ? { ...rule, sound: null } : rule)) }),
    ).toBeNull();
  });
});

const hasReference = spawnSync("edid-decode", ["--help"]).error === undefined;
const folder = mkdtempSync(join(tmpdir(), "octachord-edid-"));

/** What the independent decoder says of some bytes. */
function reference(edid: Edid): string {
  const file = join(folder, "one.bin");
  writeFileSync(file, writeEdid(edid));
  return spawnSync("edid-decode", ["--check", file], { encoding: "utf8" }).stdout;
}

describe.skipIf(!hasReference)("a second opinion, from edid-decode", () => {
  test.each(MADE)("%s: what is made conforms, and both read the same sounds, pictures and place", (_archetype, edid) => {
    const text = reference(edid);
    expect(text).toContain("EDID conformity: PASS");
    const said = report(edid);
    const names: Record<string, string> = {
      lpcm: "Linear PCM",
      ac3: "AC-3",
      eac3: "Enhanced AC-3 (DD+)",
      mat: "MAT (MLP)",
      dts: "DTS",
      "dts-hd-ma": "DTS-HD",
      aac: "AAC LC",
    };
    for (const { coding, channels } of said.audio)
      expect(text).toMatch(new RegExp(`${(names[coding] ?? coding).replace(/[()+]/g, "\\$&")}:\\n\\s+Max channels: ${channels}`));
    for (const vic of said.vics) expect(text).toMatch(new RegExp(`VIC\\s+${vic}:`));
    expect(text).toContain(`Source physical address: ${said.hdmi?.physicalAddress ?? ""}`);
    if (said.hdmiForum?.maxFrlGbps === 40)
      expect(text).toContain("Max Fixed Rate Link: 3 and 6 Gbps per lane on 3 lanes, 6, 8 and 10 Gbps on 4 lanes");
    expect(text).toContain(`Display Product Name: '${said.name ?? ""}'`);
  });

  test("what is merged conforms", () => {
    expect(reference(mergeEdids(ofArchetype("tv-earc"), ofArchetype("bar-one-input")))).toContain("EDID conformity: PASS");
    expect(reference(mergeEdids(ofArchetype("projector"), ofArchetype("receiver-92")))).toContain("EDID conformity: PASS");
  });
});
