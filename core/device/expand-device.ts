import { findContent } from "./content-catalogue";
import { findArchetype } from "./shelf";

type Plain = Record<string, unknown>;
const isPlain = (value: unknown): value is Plain => typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * Turns the short form of a device, `{"archetype":"…"}` plus overrides, into the long one; anything else passes unchanged.
 * `ports` and `settings` may be objects that change rows of the archetype by id or key, `control` changes what it names; contents may be names of the catalogue.
 * The result is still unchecked: it goes to the schema next, so places in messages stay those of the file.
 */
export function expandDevice(raw: unknown): unknown {
  if (!isPlain(raw)) return raw;
  const archetype = typeof raw.archetype === "string" ? findArchetype(raw.archetype) : undefined;
  if (!archetype) return withNamedContents(raw);
  const { summary: _summary, ...base } = archetype;
  const merged: Plain = { ...base, ...raw };
  merged.ports = patchRows(base.ports, raw.ports, "id", (row, change) => ({ ...row, ...(isPlain(change) ? change : {}) }));
  merged.settings = patchRows(base.settings, raw.settings, "key", (row, change) => ({
    ...row,
    ...(isPlain(change) ? change : { found: change }),
  }));
  if (isPlain(raw.control)) merged.control = { ...base.control, ...raw.control };
  return withNamedContents(merged);
}

function patchRows(base: unknown, change: unknown, key: string, apply: (row: Plain, change: unknown) => Plain): unknown {
  if (!isPlain(change)) return change ?? base;
  const rows = Array.isArray(base) ? base.filter(isPlain) : [];
  const known = new Set(rows.map((row) => row[key]));
  const unknownKeys = Object.keys(change).filter((name) => !known.has(name));
  return [
    ...rows.map((row) => (Object.hasOwn(change, String(row[key])) ? apply(row, change[String(row[key])]) : row)),
    // A row that the archetype does not have goes to the schema as it is, so that its faults are named there.
    ...unknownKeys.map((name) => ({ [key]: name, ...(isPlain(change[name]) ? change[name] : {}) })),
  ];
}

function withNamedContents(device: Plain): Plain {
  if (!Array.isArray(device.sources)) return device;
  const sources = device.sources.map((source: unknown) =>
    isPlain(source) && Array.isArray(source.contents)
      ? {
          ...source,
          contents: source.contents.map((content: unknown) => (typeof content === "string" ? (findContent(content) ?? content) : content)),
        }
      : source,
  );
  return { ...device, sources };
}
