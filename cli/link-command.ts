import { z } from "zod";
import { PICTURE_MODES } from "@/core/facts";
import { linkNeed, whetherFits } from "@/core/picture";
import { cableClassName } from "@/core/text";
import { formatGigabits } from "@/core/units";
import type { ExitCode } from "./main";
import { UnusableInput } from "./unusable-input";

const Options = z.object({
  mode: z.enum(PICTURE_MODES, { error: `expected one of ${PICTURE_MODES.join(", ")}` }),
  depth: z.enum(["8", "10", "12"], { error: "expected 8, 10 or 12" }).transform((text) => Number(text) as 8 | 10 | 12),
  chroma: z.enum(["444", "422", "420"], { error: "expected 444, 422 or 420" }),
  have: z.coerce
    .number({ error: "expected a rate in Gb/s" })
    .positive({ error: "expected a rate in Gb/s" })
    .max(48, { error: "expected at most 48" })
    .optional(),
});

/** Prints what a picture asks of a link. Exit code 1 where no link there is, or not the one given, carries it. */
export function linkCommand(given: { mode: string; depth: string; chroma: string; have?: string; json?: boolean }): ExitCode {
  const options = Options.safeParse(given);
  if (!options.success) {
    const [issue] = options.error.issues;
    throw new UnusableInput(`--${String(issue?.path[0] ?? "mode")}: ${issue?.message ?? "not understood"}.`);
  }
  const { have, ...form } = options.data;
  const need = linkNeed(form);
  const fit = have === undefined ? null : whetherFits(form, have);
  const fits = fit === null ? need.cableClass !== null : fit !== "no";
  if (given.json) {
    const { tmdsGbps, activeGbps, frl, tight, cableClass } = need;
    process.stdout.write(
      `${JSON.stringify({ ...form, tmdsGbps, activeGbps, frl, cableClass, tight: fit === null ? tight : fit === "tight", fits })}\n`,
    );
  } else {
    process.stdout.write(
      `TMDS ${formatGigabits(need.tmdsGbps)}, pixels alone ${formatGigabits(need.activeGbps)}; fixed-rate link: ${need.frl === null ? "none without compression" : `${need.frl} Gb/s${need.tight ? ", tight" : ""}`}; cable: ${need.cableClass ? cableClassName(need.cableClass) : "none"}.${have === undefined ? "" : ` Over ${formatGigabits(have)}: ${fit === "no" ? "does not fit" : fit === "tight" ? "fits, tightly" : "fits"}.`}\n`,
    );
  }
  return fits ? 0 : 1;
}
