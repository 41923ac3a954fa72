import type { Coding } from "./codings";

interface Relative {
  readonly of: Coding;
  readonly is: Coding;
  /** embedded: taken out of the stream untouched; transcoded: decoded and coded again, a further lossy generation. */
  readonly how: "embedded" | "transcoded";
  readonly source: string;
}

/** The lossy relatives a device falls back to when the native coding is not on offer. TrueHD's AC-3 is a track of its own on the disc, so it is with the content. */
export const RELATIVES = [
  { of: "dts-hd-ma", is: "dts", how: "embedded", source: "ETSI TS 102 114: core sub-stream" },
  { of: "dts-hd-hra", is: "dts", how: "embedded", source: "ETSI TS 102 114: core sub-stream" },
  { of: "eac3", is: "ac3", how: "transcoded", source: "ETSI TS 102 366 Annex E: conversion to AC-3" },
] as const satisfies readonly Relative[];

export const relativesOf = (coding: Coding): readonly Relative[] => RELATIVES.filter((row) => row.of === coding);
