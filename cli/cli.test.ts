import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";

const root = fileURLToPath(new URL("..", import.meta.url));
const folder = mkdtempSync(join(tmpdir(), "octachord-cli-"));

function octachord(args: readonly string[], input?: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, "cli/octachord.mjs"), ...args], {
    cwd: folder,
    encoding: "utf8",
    ...(input === undefined ? {} : { input }),
  });
  return { status, stdout, stderr };
}
const demo = (name: string) => join(root, "demo/jobs", `${name}.octachord.json`);
const written = (name: string, text: string) => {
  writeFileSync(join(folder, name), text);
  return name;
};

describe("exit codes", () => {
  test("0: a sound job file, and a board on which all is whole", () => {
    expect(octachord(["validate", demo("sail-loft")])).toMatchObject({
      status: 0,
      stdout: "Sail Loft: a sound job file, 5 devices, 4 cables.\n",
      stderr: "",
    });
    expect(octachord(["arrivals", demo("sail-loft")]).status).toBe(0);
  });

  test("1: the answer holds problems, told in sentences", () => {
    const { status, stdout } = octachord(["arrivals", demo("flat-4b")]);
    expect(status).toBe(1);
    expect(stdout).toContain("Television “HDMI 3” has no return channel");
    expect(stdout).toContain("Television plays 2.0 from its own speakers.");
  });

  test.each([
    ["no such file", ["validate", "nowhere.json"], "octachord: nowhere.json: there is no such file.\n"],
    [
      "an unknown state",
      ["arrivals", demo("flat-4b"), "--as", "wished"],
      "octachord: --as: expected found, planned or left, got “wished”.\n",
    ],
  ])("2: %s", (_what, args, line) => expect(octachord(args)).toMatchObject({ status: 2, stdout: "", stderr: line }));

  test.each([
    ["wrong JSON", "{", /^octachord: bad\.json: The file is not JSON: .+\n$/],
    [
      "a newer version",
      '{"format":"octachord-job","version":9,"name":"x"}',
      /^octachord: bad\.json: version: this file is of version 9, .+\n$/,
    ],
    [
      "hand-written nonsense",
      '{"format":"octachord-job","version":1,"name":"x","devices":"many"}',
      /^octachord: bad\.json: devices: expected an array\.\n$/,
    ],
    [
      "an unknown socket",
      '{"format":"octachord-job","version":1,"name":"x","devices":[{"archetype":"projector","id":"p","ports":[{"id":"a","label":"A","direction":"in","connector":"square"}]}]}',
      /^octachord: bad\.json: devices\[0\]\.ports\[0\]\.connector: expected .+\n$/,
    ],
    ["11 MB", `"${"x".repeat(11 * 1024 * 1024)}"`, /^octachord: bad\.json: The file has 11\.0.MB; job files of up to 10.MB are read\.\n$/],
  ])("2: %s, one line with file, place and expectation", (_what, text, line) => {
    const { status, stdout, stderr } = octachord(["validate", written("bad.json", text)]);
    expect(status).toBe(2);
    expect(stdout).toBe("");
    expect(stderr).toMatch(line);
  });

  test("2: an unknown command", () => expect(octachord(["sing"]).status).toBe(2));
});

test("JSON comes on one line with the same board, also from standard input", () => {
  const fromFile = octachord(["arrivals", demo("flat-4b"), "--json"]);
  const fromInput = octachord(["arrivals", "-", "--json"], readFileSync(demo("flat-4b"), "utf8"));
  expect(fromInput.stdout).toBe(fromFile.stdout);
  const report = JSON.parse(fromFile.stdout) as { arrivals: { verdict: string }[] };
  expect(report.arrivals.map(({ verdict }) => verdict)).toEqual(["silent", "silent", "silent", "silent"]);
  expect(JSON.parse(octachord(["validate", demo("flat-4b"), "--json"]).stdout)).toEqual({
    valid: true,
    name: "Flat 4B",
    version: 1,
    devices: 4,
    cables: 3,
  });
});
