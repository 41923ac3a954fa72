import { z } from "zod";
import { Slug } from "@/core/device";

export const ATTACHMENT_TYPES = ["image/jpeg", "image/png", "image/webp"] as const;
export type AttachmentType = (typeof ATTACHMENT_TYPES)[number];

/** Photos beyond this are refused. */
export const MAX_ATTACHMENT_BYTES = 8 * 1024 * 1024;

/** A job packed with its photos may be this large. */
export const MAX_PACKED_BYTES = 120 * 1024 * 1024;

/** A photo that belongs to a job. The document names it; the picture itself is in the data folder. */
export const Attachment = z.strictObject({
  id: z.uuid(),
  name: z.string().min(1).max(200),
  type: z.enum(ATTACHMENT_TYPES),
  bytes: z.number().int().min(1).max(MAX_ATTACHMENT_BYTES),
  /** The device whose back it shows; null: the room. */
  device: Slug.nullable(),
});
export type Attachment = z.infer<typeof Attachment>;

const startsWith = (bytes: Uint8Array, start: readonly number[], at = 0): boolean =>
  start.every((byte, index) => bytes[at + index] === byte);

/**
 * What kind of picture bytes really are, whatever their name says; null for anything else.
 * Source: JPEG ISO/IEC 10918-1 B.2 (SOI), PNG ISO/IEC 15948 §5.2, WebP RIFF header (RFC 9649 §2).
 */
export function attachmentTypeOf(bytes: Uint8Array): AttachmentType | null {
  if (startsWith(bytes, [0xff, 0xd8, 0xff])) return "image/jpeg";
  if (startsWith(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return "image/png";
  if (startsWith(bytes, [0x52, 0x49, 0x46, 0x46]) && startsWith(bytes, [0x57, 0x45, 0x42, 0x50], 8)) return "image/webp";
  return null;
}

/** Whether bytes are a picture in the format of many telephones, which browsers do not show. Source: ISO/IEC 23008-12 §10 (brands). */
export const isHeic = (bytes: Uint8Array): boolean =>
  bytes[0] === 0 &&
  startsWith(bytes, [0x66, 0x74, 0x79, 0x70], 4) &&
  ["heic", "heix", "hevc", "heim", "mif1", "msf1"].includes(String.fromCharCode(...bytes.subarray(8, 12)));
