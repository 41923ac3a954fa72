"use client";

import { X } from "lucide-react";
import { findArchetype } from "@/core/device";
import type { Brief, Job, Want } from "@/core/job";
import { pinnable, readWant, SCHOOLS, type Bond, type WiringPlan } from "@/core/plan";
import { deviceName, mustWords, SCHOOL_WORDS, upperFirst } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import styles from "./plans.module.css";

/** Nothing required of plans. */
export const NO_WISHES = { bonds: [], musts: [], hopes: [] } satisfies Partial<Brief>;

const ANYWHERE = "";
const WANTS = ["sounds", "whole", "picture"] as const;
/** The fewest remotes that an act can take, and as many as most households accept. */
const REMOTES = [1, 2] as const;

/** Pins, bans, what must be and what had better be, as the brief keeps them. Planned again at once with each. */
export function WishList({ plan }: { plan: WiringPlan | undefined }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const { bonds, musts, hopes, mustStay } = job.brief;
  const players = job.devices.filter(({ role }) => role === "player");
  const hubs = pinnable(job);
  const keep = (fields: Partial<Pick<Brief, "bonds" | "musts" | "hopes">>) => void edit({ kind: "edit-brief", fields });
  const pinOf = (player: string) => bonds.find((bond) => bond.bond === "pin" && bond.player === player);
  const pin = (player: string, hub: string) =>
    keep({
      bonds: [
        ...bonds.filter((bond) => !(bond.bond === "pin" && bond.player === player)),
        ...(hub === ANYWHERE ? [] : [{ bond: "pin", player, hub, port: null } as const]),
      ],
    });
  const noCables = bonds.some(({ bond }) => bond === "forbid-new-cables");
  const isWished = (want: Want) => [...musts, ...hopes].some((one) => textOf(one) === textOf(want));
  return (
    <section className={styles.wishes} aria-label={plansWords.wishes}>
      {players.map(({ id, name }) => {
        const pinned = pinOf(id);
        return (
          <label key={id}>
            <span dir="auto">{name}</span>
            <Choice
              label={plansWords.belongs(name)}
              size="small"
              value={pinned?.bond === "pin" ? pinned.hub : ANYWHERE}
              options={[
                { value: ANYWHERE, label: plansWords.anywhere },
                ...hubs.map((hub) => ({ value: hub.id, label: plansWords.inHub(hub.name) })),
              ]}
              onChange={(hub) => pin(id, hub)}
            />
          </label>
        );
      })}
      <label className={styles.tick}>
        <input
          type="checkbox"
          checked={noCables}
          onChange={({ target }) =>
            keep({
              bonds: [
                ...bonds.filter(({ bond }) => bond !== "forbid-new-cables"),
                ...(target.checked ? [{ bond: "forbid-new-cables" } as const] : []),
              ],
            })
          }
        />
        {plansWords.noNewCables}
      </label>
      <Choice
        label={plansWords.mustHave}
        size="small"
        popupMatchSelectWidth={false}
        placement="bottomRight"
        value={null}
        placeholder={plansWords.mustHave}
        options={wantsOf(job)
          .filter((want) => !isWished(want))
          .map((want) => ({ value: textOf(want), label: upperFirst(mustWords(job, want)) }))}
        onChange={(text: string | null) => {
          const want = text === null ? null : readWant(job, text);
          if (want) keep({ musts: [...musts, want] });
        }}
      />
      <Choice
        label={plansWords.ban}
        size="small"
        value={null}
        placeholder={plansWords.ban}
        options={[
          ...(plan?.boxes ?? []).flatMap(({ device, isThere }) =>
            isThere || !device.archetype ? [] : [{ value: `box:${device.archetype}`, label: plansWords.without(device.name) }],
          ),
          ...SCHOOLS.map((school) => ({ value: `school:${school}`, label: plansWords.without(SCHOOL_WORDS[school].toLowerCase()) })),
        ]}
        onChange={(text: string | null) => {
          const [what, name = ""] = text?.split(":") ?? [];
          const bond: Bond = what === "box" ? { bond: "forbid-box", archetype: name } : { bond: "forbid-school", school: name };
          if (what) keep({ bonds: [...bonds, bond] });
        }}
      />
      <ul>
        {musts.map((want) => (
          <Kept
            key={textOf(want)}
            words={upperFirst(mustWords(job, want))}
            isFirm
            onTurn={() => keep({ musts: musts.filter((one) => one !== want), hopes: [...hopes, want] })}
            onLetGo={() => keep({ musts: musts.filter((one) => one !== want) })}
          />
        ))}
        {hopes.map((want) => (
          <Kept
            key={textOf(want)}
            words={upperFirst(mustWords(job, want))}
            isFirm={false}
            onTurn={() => keep({ hopes: hopes.filter((one) => one !== want), musts: [...musts, want] })}
            onLetGo={() => keep({ hopes: hopes.filter((one) => one !== want) })}
          />
        ))}
        {bonds.flatMap((bond) =>
          bond.bond === "forbid-box" || bond.bond === "forbid-school"
            ? [
                <Kept
                  key={JSON.stringify(bond)}
                  words={plansWords.without(
                    bond.bond === "forbid-box"
                      ? (findArchetype(bond.archetype)?.name ?? bond.archetype)
                      : SCHOOL_WORDS[SCHOOLS.find((one) => one === bond.school) ?? "mixed"].toLowerCase(),
                  )}
                  onLetGo={() => keep({ bonds: bonds.filter((other) => other !== bond) })}
                />,
              ]
            : [],
        )}
        {mustStay.map((device) => (
          <li key={device} className={styles.quiet}>
            {plansWords.staysByBrief(deviceName(job, device))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Everything that can be required of the wired room. */
function wantsOf(job: Job): readonly Want[] {
  const asked = job.devices.filter(({ sources }) => sources.length > 0);
  const hasScreens = job.devices.filter(({ role, display }) => role === "screen" && display).length > 1;
  return [
    ...REMOTES.map((most): Want => ({ want: "remotes", most })),
    ...asked.flatMap(({ id, role }) => [
      ...WANTS.map((want): Want => ({ want, device: id })),
      ...(hasScreens && role === "player" ? [{ want: "everywhere", device: id } as const] : []),
    ]),
  ];
}

const textOf = (want: Want): string => `${want.want}:${"device" in want ? want.device : want.most}`;

interface KeptProps {
  readonly words: string;
  /** It must be, or had better be; undefined: it is a ban. */
  readonly isFirm?: boolean;
  readonly onTurn?: () => void;
  readonly onLetGo: () => void;
}

function Kept({ words, isFirm, onTurn, onLetGo }: KeptProps) {
  return (
    <li className={styles.kept}>
      <span>{words}</span>
      {onTurn && isFirm !== undefined ? (
        <button type="button" className={styles.firmness} aria-label={plansWords.turnWish(words, isFirm)} onClick={onTurn}>
          {isFirm ? plansWords.must : plansWords.hope}
        </button>
      ) : null}
      <button type="button" aria-label={plansWords.letGoOf(words)} onClick={onLetGo}>
        <X size={16} aria-hidden />
      </button>
    </li>
  );
}
