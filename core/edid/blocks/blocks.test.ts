import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { makeAudioDescriptor, readAudioDescriptors, writeAudioDescriptors } from "./audio-block";
import { readBaseBlock, readDetailedTiming, writeBaseBlock } from "./base-block";
import { makeCtaBlock, readCtaBlock, writeCtaBlock } from "./cta-block";
import { ouiBytes, ouiOf, readDataBlocks, writeDataBlock, type DataBlock } from "./data-block";
import { isPlace, physicalAddressBytes, readHdmiForumBlock, readHdmiVendorBlock, writeHdmiForumBlock } from "./hdmi-blocks";
import { checksumOf, sealed } from "../bytes";

const SEED = 142;

/** Any data block that a CTA extension can hold: a tag of three bits, up to 31 bytes, of which an extended one gives the first away. */
const dataBlock: fc.Arbitrary<DataBlock> = fc.oneof(
  fc.record({ tag: fc.integer({ min: 0, max: 6 }), extended: fc.constant(null), payload: fc.uint8Array({ maxLength: 31 }) }),
  fc.record({ tag: fc.constant(7), extended: fc.nat({ max: 255 }), payload: fc.uint8Array({ maxLength: 30 }) }),
);

describe("data blocks", () => {
  test("come back from their bytes as they went in", () =>
    fc.assert(
      fc.property(fc.array(dataBlock, { maxLength: 6 }), (blocks) => {
        const read = readDataBlocks(Uint8Array.from(blocks.flatMap(writeDataBlock)), 1, 4);
        expect(read.findings).toEqual([]);
        expect(read.blocks.map((block) => ({ ...block, payload: [...block.payload] }))).toEqual(
          blocks.map((block) => ({ ...block, payload: [...block.payload] })),
        );
      }),
      { numRuns: 300, seed: SEED },
    ));

  test("one that runs over its place ends the reading and is named", () => {
    const { blocks, read, findings } = readDataBlocks(Uint8Array.from([0x23, 1, 2, 3, 0x45, 9]), 1, 4);
    expect(blocks).toHaveLength(1);
    expect(read).toBe(4);
    expect(findings).toEqual([{ code: "data-block-overruns", block: 1, at: 8, tag: 2 }]);
  });

  test("identifiers stand least byte first", () => {
    expect(ouiBytes(0x000c03)).toEqual([0x03, 0x0c, 0x00]);
    expect(ouiOf({ tag: 3, extended: null, payload: Uint8Array.from([0xd8, 0x5d, 0xc4, 1]) })).toBe(0xc45dd8);
    expect(ouiOf({ tag: 3, extended: null, payload: Uint8Array.from([0xd8]) })).toBeNull();
  });
});

describe("a CTA extension", () => {
  test("of any data blocks is written with its offset and checksum, and read back", () =>
    fc.assert(
      fc.property(fc.array(dataBlock, { maxLength: 3 }), fc.boolean(), (blocks, basicAudio) => {
        const bytes = writeCtaBlock(makeCtaBlock(blocks, { basicAudio }));
        expect(bytes[127]).toBe(checksumOf(bytes));
        const { cta, findings } = readCtaBlock(bytes, 1);
        expect(findings).toEqual([]);
        expect(cta.dataBlocks).toHaveLength(blocks.length);
        expect((cta.flags & 0x40) !== 0).toBe(basicAudio);
      }),
      { numRuns: 200, seed: SEED },
    ));

  test("whose timings would begin before its head says so", () =>
    expect(readCtaBlock(sealed([0x02, 3, 2, 0]), 1).findings).toEqual([{ code: "timings-offset", block: 1, offset: 2 }]));
});

describe("places in the tree", () => {
  test("go into two bytes and come back", () =>
    fc.assert(
      fc.property(fc.tuple(fc.nat({ max: 15 }), fc.nat({ max: 15 }), fc.nat({ max: 15 }), fc.nat({ max: 15 })), (parts) => {
        const address = parts.join(".");
        expect(readHdmiVendorBlock(Uint8Array.from(physicalAddressBytes(address))).physicalAddress).toBe(address);
      }),
      { seed: SEED },
    ));
  test.each([
    ["0.0.0.0", true],
    ["1.0.0.0", true],
    ["3.2.0.0", true],
    ["1.2.3.4", true],
    ["1.0.2.0", false],
    ["0.1.0.0", false],
  ])("%s is a place: %s", (address, is) => expect(isPlace(address)).toBe(is));
});

describe("the HDMI Forum block", () => {
  test("keeps what it says of rate, quick mode and variable refresh", () =>
    fc.assert(
      fc.property(
        fc.record({
          maxTmdsMHz: fc.integer({ min: 1, max: 120 }).map((fives) => fives * 5),
          maxFrlGbps: fc.constantFrom(null, 9, 18, 24, 32, 40, 48),
          allm: fc.boolean(),
          vrr: fc.option(fc.record({ min: fc.integer({ min: 1, max: 48 }), max: fc.integer({ min: 100, max: 1000 }) }), { nil: null }),
        }),
        (block) => {
          expect(readHdmiForumBlock(Uint8Array.from(writeHdmiForumBlock(block)))).toEqual({ ...block, dsc: false });
        },
      ),
      { numRuns: 300, seed: SEED },
    ));
});

describe("short audio descriptors", () => {
  test.each([
    // Format code, channels less one; rates; third byte.
    ["lpcm", 8, false, [0x0f, 0x7f, 0x07]],
    ["ac3", 6, false, [0x15, 0x07, 0x50]],
    ["eac3", 8, true, [0x57, 0x07, 0x01]],
    ["mat", 8, true, [0x67, 0x54, 0x01]],
    ["dts", 6, false, [0x3d, 0x1e, 0xc0]],
  ] as const)("%s of %d channels, objects %s: %o", (coding, channels, objects, bytes) => {
    const made = makeAudioDescriptor(coding, channels, objects);
    expect(made?.bytes).toEqual(bytes);
    expect(made && writeAudioDescriptors([made])).toEqual(bytes);
  });
  test("a format that this program has no use for keeps its bytes", () => {
    const [row] = readAudioDescriptors(Uint8Array.from([0x79, 0x07, 0x10]));
    expect(row).toMatchObject({ coding: null, formatCode: 15, bytes: [0x79, 0x07, 0x10] });
  });
});

describe("the base block", () => {
  // The detailed timing of 1080p60 as every HD display has it: 148.5 MHz, 2200 × 1125.
  const HD = [0x02, 0x3a, 0x80, 0x18, 0x71, 0x38, 0x2d, 0x40, 0x58, 0x2c, 0x45, 0x00, 0, 0, 0, 0, 0, 0x1e];
  test("reads a detailed timing: 148.5 MHz over 2200 × 1125 is 60 Hz", () =>
    expect(readDetailedTiming(Uint8Array.from(HD))).toEqual({ width: 1920, height: 1080, refreshHz: 60, pixelClockMHz: 148.5 }));
  test("a descriptor without a clock is none of a timing", () => expect(readDetailedTiming(new Uint8Array(18))).toBeNull());
  test("keeps maker, product, name and year; a name beyond 13 letters is cut", () => {
    const block = sealed(
      writeBaseBlock({
        manufacturer: "OCT",
        productCode: 513,
        name: "Television in the hall",
        year: 2026,
        timings: [HD],
        extensions: 1,
        maxClockTens: 60,
      }),
    );
    expect(readBaseBlock(block)).toMatchObject({ manufacturer: "OCT", productCode: 513, name: "Television in", year: 2026, extensions: 1 });
    expect(readBaseBlock(block).preferred).toMatchObject({ width: 1920, refreshHz: 60 });
  });
});
