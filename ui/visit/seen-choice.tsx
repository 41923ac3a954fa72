"use client";

import type { Miss } from "@/core/cec";
import { bedChannels, BED_IDS, CODINGS } from "@/core/facts";
import type { Job, Seen } from "@/core/job";
import { seenOfMiss } from "@/core/proof";
import { codingName, missSentence } from "@/core/text";
import { Choice } from "@/ui/kit";
import { visitWords } from "@/ui/words";

interface SeenOption {
  readonly value: string;
  readonly label: string;
  readonly sees: Seen;
}

/** Everything that a display could show: each coding with the beds it comes in, and with objects where it can carry them. */
const FORMS: readonly SeenOption[] = CODINGS.flatMap(({ id, objects }) =>
  BED_IDS.filter((bed) => bed === "2.0" || bed === "5.1" || (bed === "7.1" && id !== "ac3" && id !== "dts" && id !== "analogue")).flatMap(
    (bed): SeenOption[] => [
      { value: `${id} ${bed}`, label: `${codingName(id)} ${bed}`, sees: { coding: id, channels: bed, objects: false } },
      ...(objects !== "none" && bedChannels(bed) > 2
        ? [
            {
              value: `${id} ${bed} objects`,
              label: `${codingName(id)} ${bed} + ${visitWords.objects}`,
              sees: { coding: id, channels: bed, objects: true },
            } as const,
          ]
        : []),
    ],
  ),
);

const plain = (sees: Extract<Seen, string>, label: string): SeenOption => ({ value: sees, label, sees });

const OF_ROW: readonly SeenOption[] = [
  plain("silent", visitWords.nothingHeard),
  plain("no-picture", visitWords.noPicture),
  plain("sound-early", visitWords.soundEarly),
  plain("sound-late", visitWords.soundLate),
  ...FORMS,
];
const OF_SPEAKER: readonly SeenOption[] = [
  plain("silent", visitWords.nothingHeard),
  plain("other-unit", visitWords.otherUnit),
  plain("other-side", visitWords.otherSide),
  plain("level-off", visitWords.levelOff),
];

interface SeenChoiceProps {
  readonly onSeen: (sees: Seen) => void;
}

/** What was seen in place of what was predicted, from what a display can show. */
export const RowSeenChoice = ({ onSeen }: SeenChoiceProps) => <SeenChoice options={OF_ROW} onSeen={onSeen} />;

export const SpeakerSeenChoice = ({ onSeen }: SeenChoiceProps) => <SeenChoice options={OF_SPEAKER} onSeen={onSeen} />;

/** What went otherwise in an act, from what can. */
export function ActSeenChoice({ job, misses, onSeen }: SeenChoiceProps & { job: Job; misses: readonly Miss[] }) {
  const options = misses.map((miss): SeenOption => {
    const words = missSentence(job, miss);
    return { value: words, label: words, sees: seenOfMiss(miss) };
  });
  return <SeenChoice options={options} onSeen={onSeen} />;
}

function SeenChoice({ options, onSeen }: SeenChoiceProps & { options: readonly SeenOption[] }) {
  return (
    <Choice
      label={visitWords.seenInstead}
      placeholder={visitWords.seenInstead}
      size="large"
      showSearch={{ optionFilterProp: "label" }}
      value={null}
      options={options.map(({ value, label }) => ({ value, label }))}
      onChange={(chosen: string | null) => {
        const found = options.find(({ value }) => value === chosen);
        if (found) onSeen(found.sees);
      }}
    />
  );
}
