import { fromShelfOrThrow, SHELF, type Archetype, type Device } from "@/core/device";
import { makeFinder } from "@/core/search";
import { freeId, freeName, type Command, type Job } from "@/core/job";

/** The columns of a table of devices, by the words people head them with. */
const COLUMNS = {
  kind: ["kind", "device", "type", "archetype"],
  name: ["name", "called"],
  maker: ["maker", "make", "brand"],
  room: ["room", "place", "where"],
  note: ["note", "notes", "remark"],
} as const;
type Column = keyof typeof COLUMNS;

/** Why a line of the table is not understood. */
export type TableTrouble =
  | { readonly code: "no-kind-column" }
  | { readonly code: "no-kind" }
  | { readonly code: "unknown-kind"; readonly kind: string; readonly near: readonly string[] }
  | { readonly code: "several-kinds"; readonly kind: string; readonly near: readonly string[] }
  | { readonly code: "too-long"; readonly column: Column; readonly limit: number };

export interface TableLine {
  /** Counted from 1, the heading included, as a spreadsheet counts. */
  readonly line: number;
  readonly device: Device | null;
  readonly trouble: TableTrouble | null;
}

const LIMITS: Readonly<Record<Column, number>> = { kind: 80, name: 300, maker: 80, room: 80, note: 4000 };

/**
 * Reads a table of devices: one heading, one device a line; the kind is an archetype's id, its name, or words that only one archetype
 * answers to. Empty lines are passed over. Rooms of the job are matched by name; a room not known goes into the note.
 */
export function readDeviceTable(job: Job, rows: readonly (readonly string[])[]): readonly TableLine[] {
  const [heading = [], ...body] = rows;
  const columns = heading.map((words) => columnOf(words));
  if (!columns.includes("kind")) return [{ line: 1, device: null, trouble: { code: "no-kind-column" } }];
  const ids = new Set(job.devices.map(({ id }) => id));
  const names = new Set(job.devices.map(({ name }) => name));
  return body.flatMap((cells, index): TableLine[] => {
    if (cells.every((cell) => cell.trim() === "")) return [];
    const line = index + 2;
    const cell = (column: Column) => (cells[columns.indexOf(column)] ?? "").trim();
    const long = (Object.keys(LIMITS) as Column[]).find((column) => cell(column).length > LIMITS[column]);
    if (long) return [{ line, device: null, trouble: { code: "too-long", column: long, limit: LIMITS[long] } }];
    const archetype = archetypeOf(cell("kind"));
    if ("code" in archetype) return [{ line, device: null, trouble: archetype }];
    const room = job.rooms.find(({ name }) => name.toLowerCase() === cell("room").toLowerCase());
    const id = freeId(archetype.archetype, ids);
    const name = freeName(cell("name") || archetype.name, names);
    ids.add(id);
    names.add(name);
    const note = [cell("note"), !room && cell("room") ? `Stands in: ${cell("room")}` : ""].filter(Boolean).join("\n");
    return [
      {
        line,
        device: { ...fromShelfOrThrow(archetype.archetype, { id, name }), maker: cell("maker"), note, room: room?.id ?? null },
        trouble: null,
      },
    ];
  });
}

/** The one edit that adds every device of a table; null while a line of it is not understood, so that nothing is half done. */
export function addTable(lines: readonly TableLine[]): Command | null {
  const devices = lines.flatMap(({ device }) => device ?? []);
  if (devices.length === 0 || lines.some(({ trouble }) => trouble !== null)) return null;
  return { kind: "batch", commands: devices.map((device) => ({ kind: "add-device", device, at: null })) };
}

function columnOf(words: string): Column | null {
  const wanted = words.trim().toLowerCase();
  return (Object.keys(COLUMNS) as Column[]).find((column) => COLUMNS[column].some((name) => name === wanted)) ?? null;
}

const MOST_NEAR = 3;

const findOnShelf = makeFinder(SHELF.map((row) => ({ key: row.archetype, name: row.name, detail: row.summary, row })));

function archetypeOf(kind: string): Archetype | TableTrouble {
  if (kind === "") return { code: "no-kind" };
  const wanted = kind.toLowerCase();
  const exact = SHELF.find(({ archetype }) => archetype === wanted) ?? onlyOne(SHELF.filter(({ name }) => name.toLowerCase() === wanted));
  if (exact) return exact;
  const near = findOnShelf(kind).flatMap(({ row }) => row);
  const names = (rows: readonly Archetype[]) => rows.slice(0, MOST_NEAR).map(({ archetype }) => archetype);
  const only = onlyOne(near);
  if (only) return only;
  if (near.length > 1) return { code: "several-kinds", kind, near: names(near) };
  return {
    code: "unknown-kind",
    kind,
    near: names(
      [
        ...new Set(
          kind
            .split(/\s+/)
            .filter((word) => word.length > 2)
            .flatMap((word) => findOnShelf(word)),
        ),
      ].map(({ row }) => row),
    ),
  };
}

const onlyOne = <Row>(rows: readonly Row[]): Row | undefined => (rows.length === 1 ? rows[0] : undefined);
