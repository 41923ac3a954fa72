import { strToU8, zipSync } from "fflate";
import { describe, expect, test } from "vitest";
import { readZip } from "./read-zip";

const budget = { files: 4, bytes: 10_000 };
const all = () => true;
const zip = zipSync({ "job.json": strToU8("one ".repeat(50)), "photos/a.png": strToU8("two") });

describe("a zip", () => {
  test("is unpacked where it keeps to its budget", () => {
    const read = readZip(zip, budget, all);
    expect(read.ok && [...read.value].map(([name, bytes]) => [name, bytes.length])).toEqual([
      ["job.json", 200],
      ["photos/a.png", 3],
    ]);
    expect(readZip(zip, budget, (name) => name === "job.json")).toMatchObject({ ok: true });
  });

  test("that would unpack to too much, or holds too many files, is refused by its directory alone", () => {
    const bomb = zipSync({ "job.json": new Uint8Array(5_000_000) });
    expect(bomb.length).toBeLessThan(10_000);
    expect(readZip(bomb, budget, all)).toEqual({ ok: false, refusal: { code: "too-large-unpacked", bytes: 5_000_000, limit: 10_000 } });
    const many = zipSync(Object.fromEntries(Array.from({ length: 5 }, (_, index) => [`${index}`, strToU8("x")])));
    expect(readZip(many, budget, all)).toMatchObject({ refusal: { code: "too-many-files", files: 5 } });
  });

  test("whose directory says less than its bytes unpack to is refused by the checksum", () => {
    const lying = zipSync({ "job.json": new Uint8Array(5000) });
    const central = lying.findIndex((_, at) => new DataView(lying.buffer, at).byteLength > 4 && lying[at] === 0x50 && lying[at + 2] === 1);
    new DataView(lying.buffer).setUint32(central + 24, 10, true);
    expect(readZip(lying, budget, all)).toEqual({ ok: false, refusal: { code: "checksum", name: "job.json" } });
  });

  test("with one name twice, or two files in the same bytes, is refused", () => {
    const two = zipSync({ aa: strToU8("x"), ab: strToU8("x") }, { level: 0 });
    const text = Buffer.from(two);
    const second = text.lastIndexOf("ab");
    const twice = two.slice();
    twice[second + 1] = "a".charCodeAt(0);
    expect(readZip(twice, budget, all)).toEqual({ ok: false, refusal: { code: "name-twice", name: "aa" } });
    const overlapping = two.slice();
    new DataView(overlapping.buffer).setUint32(second - 46 + 42, 0, true);
    expect(readZip(overlapping, budget, all)).toEqual({ ok: false, refusal: { code: "files-overlap", name: "ab" } });
  });

  test("cut off or spoiled anywhere is refused, or gives the same bytes", () => {
    const right = readZip(zip, budget, all);
    for (let cut = 0; cut < zip.length; cut += 1) expect(readZip(zip.subarray(0, cut), budget, all).ok).toBe(false);
    for (let at = 0; at < zip.length; at += 1) {
      const spoiled = zip.slice();
      spoiled[at] = (spoiled[at] ?? 0) ^ 0xff;
      const read = readZip(spoiled, budget, all);
      // A name in the directory has no checksum; the bytes of the files have.
      if (read.ok && right.ok) expect([...read.value.values()]).toEqual([...right.value.values()]);
    }
  });
});
