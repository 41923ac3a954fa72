"use client";

import { bedChannels, BED_IDS, CODINGS } from "@/core/facts";
import type { Seen } from "@/core/proof";
import { codingName } from "@/core/text";
import { Choice } from "@/ui/kit";
import { visitWords } from "@/ui/words";

const SILENT = "silent";
const OBJECTS = "objects";

/** Everything that a display could show: each coding with the beds it comes in, and with objects where it can carry them. */
const FORMS = CODINGS.flatMap(({ id, objects }) =>
  BED_IDS.filter((bed) => bed === "2.0" || bed === "5.1" || (bed === "7.1" && id !== "ac3" && id !== "dts" && id !== "analogue")).flatMap(
    (bed) => [
      { value: `${id} ${bed}`, label: `${codingName(id)} ${bed}` },
      ...(objects !== "none" && bedChannels(bed) > 2
        ? [{ value: `${id} ${bed} ${OBJECTS}`, label: `${codingName(id)} ${bed} + ${visitWords.objects}` }]
        : []),
    ],
  ),
);

/** What was seen in place of what was predicted, from what a display can show. */
export function SeenChoice({ onSeen }: { onSeen: (sees: Seen) => void }) {
  const choose = (value: string | null) => {
    if (value === SILENT) onSeen(SILENT);
    const [coding, bed, objects] = (value ?? "").split(" ");
    const form = CODINGS.find(({ id }) => id === coding);
    const channels = BED_IDS.find((one) => one === bed);
    if (form && channels) onSeen({ coding: form.id, channels, objects: objects === OBJECTS });
  };
  return (
    <Choice
      label={visitWords.seenInstead}
      placeholder={visitWords.seenInstead}
      size="large"
      showSearch={{ optionFilterProp: "label" }}
      value={null}
      options={[{ value: SILENT, label: visitWords.nothingHeard }, ...FORMS]}
      onChange={choose}
    />
  );
}
