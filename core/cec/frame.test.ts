import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CEC_MESSAGES, EVERYONE, type CecOperand } from "@/core/facts";
import {
  bytesOfAddress,
  bytesOfFrame,
  childAddress,
  frameMs,
  inputTowards,
  isBelow,
  isPossible,
  NOWHERE,
  readFrame,
  readTrace,
  restMs,
  ROOT,
  winsArbitration,
  type Message,
  type PhysicalAddress,
} from "@/core/cec";
import { frameBytes, frameFindingSentence, frameWords } from "@/core/text";

const at = (address: string) => address as PhysicalAddress;
const nobody = () => null;

describe("a frame on the wire", () => {
  test.each([
    [{ from: 4, to: 15, message: { kind: "active-source", address: at("1.0.0.0") } }, "4F:82:10:00"],
    [{ from: 4, to: 0, message: { kind: "image-view-on" } }, "40:04"],
    [{ from: 0, to: 15, message: { kind: "standby" } }, "0F:36"],
    [{ from: 0, to: 5, message: { kind: "key-pressed", key: 0x41 } }, "05:44:41"],
    [{ from: 0, to: 15, message: { kind: "routing-change", from: at("0.0.0.0"), into: at("2.0.0.0") } }, "0F:80:00:00:20:00"],
    [{ from: 5, to: 0, message: { kind: "report-audio-status", status: { muted: true, volume: 50 } } }, "50:7A:B2"],
    [{ from: 4, to: 0, message: { kind: "set-osd-name", text: "Disc" } }, "40:47:44:69:73:63"],
    [{ from: 0, to: 5, message: { kind: "feature-abort", of: 0xc0, reason: 4 } }, "05:00:C0:04"],
    [{ from: 8, to: 8, message: null }, "88"],
  ] as const)("%o is %s", (frame, bytes) => {
    expect(frameBytes(bytesOfFrame(frame))).toBe(bytes);
    expect(readFrame(bytesOfFrame(frame))).toMatchObject({ ...frame, findings: [] });
  });

  test("lasts a start bit and ten bits for each block", () => {
    // A call: 4.5 + 24. Active Source has four blocks: 4.5 + 96. The longest has sixteen: 4.5 + 384.
    expect([1, 4, 16].map(frameMs)).toEqual([28.5, 100.5, 388.5]);
  });

  test("waits for the wire to rest 3, 5 or 7 bits", () => {
    expect((["again", "new-initiator", "same-initiator"] as const).map((why) => Number(restMs(why).toFixed(1)))).toEqual([7.2, 12, 16.8]);
  });

  test("a 0 pulls the wire low: the lower initiator goes on, and of one initiator the lower destination", () => {
    const [tv, player] = [
      { from: 0, to: 15, message: null },
      { from: 4, to: 0, message: null },
    ];
    expect(winsArbitration(player, tv)).toBe(tv);
    expect(winsArbitration({ ...player, to: 15 }, player)).toBe(player);
  });
});

describe("whatever message is sent", () => {
  const physical = fc
    .array(fc.integer({ min: 1, max: 15 }), { maxLength: 4 })
    .map((steps) => at([...steps, 0, 0, 0, 0].slice(0, 4).join(".")))
    .filter((address) => address !== NOWHERE);
  const byte = fc.integer({ min: 0, max: 255 });
  const values: Readonly<Record<CecOperand, fc.Arbitrary<unknown>>> = {
    "physical-address": physical,
    "device-type": byte,
    "power-status": byte,
    key: byte,
    text: fc.string({ unit: fc.integer({ min: 0x20, max: 0x7e }).map((code) => String.fromCharCode(code)), maxLength: 13 }),
    "vendor-id": fc.integer({ min: 0, max: 0xffffff }),
    "audio-status": fc.record({ muted: fc.boolean(), volume: fc.option(fc.integer({ min: 0, max: 100 })) }),
    "on-off": fc.boolean(),
    opcode: byte,
    "abort-reason": byte,
    version: byte,
    bytes: fc.array(byte, { maxLength: 10 }),
  };

  test.each(CEC_MESSAGES.map((row) => [row.title, row] as const))("%s reads back as it was", (_, row) => {
    const fields = fc.record(Object.fromEntries(row.operands.map(([field, holds]) => [field, values[holds]])));
    fc.assert(
      fc.property(fields, fc.integer({ min: 0, max: 14 }), (operands, from) => {
        const message = { kind: row.name, ...operands } as unknown as Message;
        const frame = { from, to: row.to === "one" ? (from + 1) % 15 : EVERYONE, message };
        expect(readFrame(bytesOfFrame(frame))).toMatchObject({ ...frame, findings: [] });
      }),
      { numRuns: 25, seed: 41 },
    );
  });

  test("any bytes at all are read, kept and told in words", () => {
    fc.assert(
      fc.property(fc.array(byte, { maxLength: 20 }), (bytes) => {
        const read = readFrame(bytes);
        expect(read.bytes).toEqual(bytes);
        for (const finding of read.findings) expect(frameFindingSentence(finding)).toMatch(/\.$/);
        expect(frameWords(read, nobody)).not.toBe("");
      }),
      { numRuns: 500, seed: 42 },
    );
  });
});

describe("what cannot be is told", () => {
  const findings = (...bytes: number[]) => readFrame(bytes).findings.map(frameFindingSentence);
  test("an unknown opcode, too many blocks, operands cut off, an impossible place, a wrong receiver", () => {
    expect(findings(0x4f, 0xe3)).toEqual(["The standard has no message E3."]);
    expect(findings(...Array<number>(17).fill(0x04))).toContain("It has 17 blocks; a frame has at most 16.");
    expect(findings(0x4f, 0x82, 0x10)).toEqual(["It ends before its “address”."]);
    expect(findings(0x4f, 0x82, 0x10, 0x10)).toEqual(["1.0.1.0 is not a possible physical address."]);
    expect(findings(0x40, 0x82, 0x10, 0x00)).toEqual(["This message goes to everyone only."]);
    expect(findings(0x4f, 0x04)).toEqual(["This message goes to one device only."]);
    expect(findings()).toEqual(["It is empty."]);
  });
});

test("what cannot be read is not taken for a call", () => {
  expect(frameWords(readFrame([0x4f, 0xe3]), nobody)).toBe("the player 1 tells everyone something that cannot be read.");
  expect(frameWords(readFrame([0x44]), nobody)).toBe("Is the address “player 1” free?");
});

describe("places in an HDMI tree", () => {
  test("each input has the place of its box with one number more, down to the fourth level", () => {
    expect(childAddress(ROOT, 3)).toBe("3.0.0.0");
    expect(childAddress(at("3.0.0.0"), 1)).toBe("3.1.0.0");
    expect(childAddress(at("3.1.2.4"), 1)).toBeNull();
    expect(childAddress(ROOT, 16)).toBeNull();
  });

  test("what is below a box is reached by one of its inputs", () => {
    expect(inputTowards(at("3.0.0.0"), at("3.1.0.0"))).toBe(1);
    expect(inputTowards(ROOT, at("3.1.0.0"))).toBe(3);
    expect(inputTowards(at("3.0.0.0"), at("2.0.0.0"))).toBeNull();
    expect(inputTowards(ROOT, ROOT)).toBeNull();
    expect(isBelow(at("3.1.0.0"), ROOT)).toBe(true);
  });

  test("is below whatever its number begins with, counted in halves of bytes as they go over the wire: 1.10.0.0 is not below 1.1.0.0", () => {
    expect(isBelow(at("1.10.0.0"), at("1.1.0.0"))).toBe(false);
    const places = fc
      .array(fc.constantFrom(1, 2, 10, 15), { maxLength: 4 })
      .map((steps) => ({ steps, address: at([...steps, 0, 0, 0, 0].slice(0, 4).join(".")) }));
    // The bytes of both, cut after as many halves as the upper one has.
    const halves = ({ address }: { address: PhysicalAddress }) => bytesOfAddress(address).flatMap((byte) => [byte >> 4, byte & 15]);
    fc.assert(
      fc.property(places, places, (low, high) => {
        const depth = high.steps.length;
        const isThrough = halves(low).slice(0, depth).join() === halves(high).slice(0, depth).join();
        expect(isBelow(low.address, high.address)).toBe(isThrough);
      }),
      { numRuns: 500, seed: 205 },
    );
  });

  test("zeros stand only at the end", () => {
    expect(["0.0.0.0", "1.0.0.0", "1.2.3.4", "15.15.15.1"].map((address) => isPossible(at(address)))).toEqual([true, true, true, true]);
    expect(["1.0.1.0", "0.1.0.0", "15.15.15.15"].map((address) => isPossible(at(address)))).toEqual([false, false, false]);
  });
});

describe("a pasted trace", () => {
  test.each([
    ["0F:36", null, "0F:36"],
    ["12.345 4F:82:10:00", 0, "4F:82:10:00"],
    ["[ 1234.567] >> 4f:82:10:00", 0, "4F:82:10:00"],
    ["bus [   41520] << 0f:36", 0, "0F:36"],
    ["0x40 0x04", null, "40:04"],
    ["00:01:02.500  05 44 41", 0, "05:44:41"],
    ["received from TV: 0f 85", null, "0F:85"],
  ])("line %s", (line, tMs, bytes) => {
    const [read] = readTrace(line);
    expect(read?.frame && frameBytes(read.frame.bytes)).toBe(bytes);
    expect(read?.tMs).toBe(tMs);
  });

  test("times count from the first frame, and a line without one is kept as it is", () => {
    const lines = readTrace("adapter ready\n10.000 0F:36\n\n10.250 5F:72:00\nfoo");
    expect(lines.map(({ line, tMs, frame }) => [line, tMs, frame === null])).toEqual([
      [1, null, true],
      [2, 0, false],
      [4, 250, false],
      [5, null, true],
    ]);
  });

  test("any text is read to its end", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => Array.isArray(readTrace(text))),
      { numRuns: 300, seed: 43 },
    );
  });
});
