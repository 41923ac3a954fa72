import { existsSync, readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import {
  addressesOf,
  CEC_ABORTS,
  CEC_ADDRESSES,
  CEC_DEVICE_TYPES,
  CEC_KEYS,
  CEC_MESSAGES,
  CEC_POWER,
  CEC_TIMES,
  CEC_VERSIONS,
} from "@/core/facts";

/** An independent table: the header that programs on Linux are built with, where it is installed. */
const HEADER = "/usr/include/linux/cec.h";
const defined = existsSync(HEADER)
  ? new Map(
      [...readFileSync(HEADER, "utf8").matchAll(/^#define\s+CEC_(\w+)\s+(0x[0-9a-f]+|\d+)\s*(?:\/\*.*)?$/gim)].map(([, name, value]) => [
        name ?? "",
        Number(value),
      ]),
    )
  : null;

/** "Report Physical Address" as the header spells it. */
const inHeader = (title: string): string =>
  title
    .toUpperCase()
    .replace(/[ -]+/g, "_")
    .replace(/ADDRESS/, "ADDR")
    .replace(/EXTERNAL/, "EXT");

describe("the messages of the bus", () => {
  /** Read off the standard's table by hand; what any machine checks. */
  const BY_HAND = {
    "Image View On": 0x04,
    "Text View On": 0x0d,
    Standby: 0x36,
    "User Control Pressed": 0x44,
    "User Control Released": 0x45,
    "Give OSD Name": 0x46,
    "Set OSD Name": 0x47,
    "System Audio Mode Request": 0x70,
    "Give Audio Status": 0x71,
    "Set System Audio Mode": 0x72,
    "Report Audio Status": 0x7a,
    "Give System Audio Mode Status": 0x7d,
    "System Audio Mode Status": 0x7e,
    "Routing Change": 0x80,
    "Routing Information": 0x81,
    "Active Source": 0x82,
    "Give Physical Address": 0x83,
    "Report Physical Address": 0x84,
    "Request Active Source": 0x85,
    "Set Stream Path": 0x86,
    "Device Vendor ID": 0x87,
    "Give Device Vendor ID": 0x8c,
    "Give Device Power Status": 0x8f,
    "Report Power Status": 0x90,
    "Inactive Source": 0x9d,
    "CEC Version": 0x9e,
    "Get CEC Version": 0x9f,
    "Report Short Audio Descriptor": 0xa3,
    "Request Short Audio Descriptor": 0xa4,
    "Report Current Latency": 0xa8,
    "Initiate ARC": 0xc0,
    "Report ARC Initiated": 0xc1,
    "Report ARC Terminated": 0xc2,
    "Request ARC Initiation": 0xc3,
    "Request ARC Termination": 0xc4,
    "Terminate ARC": 0xc5,
    "Feature Abort": 0x00,
  } as const;

  test("have the opcodes of the standard", () => {
    for (const [title, opcode] of Object.entries(BY_HAND))
      expect(CEC_MESSAGES.find((row) => row.title === title)?.opcode, title).toBe(opcode);
  });

  test.skipIf(!defined)("are those of the installed header, all of them and no others", () => {
    const theirs = [...(defined ?? [])].filter(([name]) => /^MSG_(?!FL_|CDC_H)/.test(name));
    const ours = new Map(CEC_MESSAGES.map(({ title, opcode }) => [`MSG_${inHeader(title)}`, opcode]));
    expect(theirs.length).toBeGreaterThan(60);
    expect(Object.fromEntries([...ours].sort())).toEqual(Object.fromEntries(theirs.sort()));
  });

  test("are each named once, by opcode and by name", () => {
    for (const key of ["opcode", "name", "title"] as const)
      expect(new Set(CEC_MESSAGES.map((row) => row[key])).size).toBe(CEC_MESSAGES.length);
  });

  test("never have operands of open length before others", () => {
    for (const { operands, name } of CEC_MESSAGES) {
      const open = operands.findIndex(([, holds]) => holds === "text" || holds === "bytes");
      expect([-1, operands.length - 1], name).toContain(open);
    }
  });
});

describe("addresses", () => {
  test("there are three players, four tuners, three recorders and one audio system to be had", () => {
    expect(addressesOf("playback")).toEqual([4, 8, 11]);
    expect(addressesOf("tuner")).toEqual([3, 6, 7, 10]);
    expect(addressesOf("recorder")).toEqual([1, 2, 9]);
    expect(addressesOf("audio")).toEqual([5]);
    expect(CEC_ADDRESSES.map(({ address }) => address)).toEqual(Array.from({ length: 16 }, (_, index) => index));
  });

  test.skipIf(!defined)("types, power states, refusals and versions are those of the installed header", () => {
    const value = (name: string) => defined?.get(name);
    expect(CEC_DEVICE_TYPES).toEqual({
      tv: value("OP_PRIM_DEVTYPE_TV"),
      recorder: value("OP_PRIM_DEVTYPE_RECORD"),
      tuner: value("OP_PRIM_DEVTYPE_TUNER"),
      playback: value("OP_PRIM_DEVTYPE_PLAYBACK"),
      audio: value("OP_PRIM_DEVTYPE_AUDIOSYSTEM"),
      switch: value("OP_PRIM_DEVTYPE_SWITCH"),
    });
    expect(CEC_POWER.map(({ code }) => code)).toEqual(
      ["ON", "STANDBY", "TO_ON", "TO_STANDBY"].map((name) => value(`OP_POWER_STATUS_${name}`)),
    );
    expect(CEC_ABORTS.map(({ code }) => code)).toEqual(
      ["UNRECOGNIZED_OP", "INCORRECT_MODE", "NO_SOURCE", "INVALID_OP", "REFUSED", "UNDETERMINED"].map((name) => value(`OP_ABORT_${name}`)),
    );
    expect(CEC_VERSIONS.map(({ code }) => code)).toEqual(["1_3A", "1_4", "2_0"].map((name) => value(`OP_CEC_VERSION_${name}`)));
  });

  test.skipIf(!defined)("every key code is one of the installed header's, the loudness keys by name", () => {
    const keys = new Map([...(defined ?? [])].filter(([name]) => name.startsWith("OP_UI_CMD_")).map(([name, code]) => [code, name]));
    for (const { code, key } of CEC_KEYS) expect(keys.has(code), key).toBe(true);
    expect([0x40, 0x41, 0x42, 0x43].map((code) => keys.get(code))).toEqual(
      ["POWER", "VOLUME_UP", "VOLUME_DOWN", "MUTE"].map((name) => `OP_UI_CMD_${name}`),
    );
  });
});

test("a start bit is 3.7 ms low and 0.8 ms high, a data bit 2.4 ms in all", () => {
  expect(CEC_TIMES.startBitMs).toBeCloseTo(3.7 + 0.8, 9);
  expect(CEC_TIMES.bitMs).toBe(2.4);
});
