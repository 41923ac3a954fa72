import { findContent } from "./content-catalogue";
import { findArchetype } from "./shelf";

type Plain = Record<string, unknown>;
const isPlain = (value: unknown): value is Plain => typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * Turns the short form of a device, `{"archetype":"…"}` plus overrides, into the long one; anything else passes unchanged.
 * `ports` and `settings` may be objects that change rows of the archetype by id or key, `decodes` one by coding, `routes` one by "from>to" and
 * `presents` one by a socket that it counts for; null takes a row away. `control` changes what it names; contents may be names of the catalogue.
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
  merged.decodes = patchMatching(
    base.decodes,
    raw.decodes,
    (row, name) => row.coding === name,
    (name) => ({ coding: name }),
  );
  merged.routes = patchMatching(
    base.routes,
    raw.routes,
    (row, name) => leads(row, name),
    (name) => {
      const [from = "", to = ""] = name.split(">").map((text) => text.trim());
      return { kind: "sound", from: [from], to: [to] };
    },
  );
  merged.presents = patchMatching(
    base.presents,
    raw.presents,
    (row, name) => includes(row.ports, name),
    (name) => ({ ports: [name] }),
  );
  if (isPlain(raw.control)) merged.control = { ...base.control, ...raw.control };
  return withNamedContents(merged);
}

const includes = (list: unknown, name: string): boolean => Array.isArray(list) && list.includes(name);

/** Whether a sound route leads from one place to another, written "hdmi1>hdmi3". */
function leads(row: Plain, name: string): boolean {
  const [from = "", to = ""] = name.split(">").map((text) => text.trim());
  return row.kind === "sound" && includes(row.from, from) && includes(row.to, to);
}

/** Rows changed by a name that finds them; a name that finds none makes a new row, and null takes the found ones away. */
function patchMatching(
  base: unknown,
  change: unknown,
  finds: (row: Plain, name: string) => boolean,
  fresh: (name: string) => Plain,
): unknown {
  if (!isPlain(change)) return change ?? base;
  let rows = Array.isArray(base) ? base.filter(isPlain) : [];
  for (const [name, fields] of Object.entries(change)) {
    const isThere = rows.some((row) => finds(row, name));
    if (fields === null) rows = rows.filter((row) => !finds(row, name));
    else if (isThere) rows = rows.map((row) => (finds(row, name) ? { ...row, ...(isPlain(fields) ? fields : {}) } : row));
    else rows = [...rows, { ...fresh(name), ...(isPlain(fields) ? fields : {}) }];
  }
  return rows;
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
