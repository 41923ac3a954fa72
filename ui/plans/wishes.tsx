"use client";

import { X } from "lucide-react";
import { pinnable, SCHOOLS, type Bond, type Must, type WiringPlan } from "@/core/plan";
import { deviceName, mustWords, SCHOOL_WORDS, upperFirst } from "@/core/text";
import { useJob } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import styles from "./plans.module.css";

/** What a plan must keep to, and what it must fulfil. */
export interface Wishes {
  readonly bonds: readonly Bond[];
  readonly musts: readonly Must[];
}
export const NO_WISHES: Wishes = { bonds: [], musts: [] };

interface WishesProps {
  readonly plan: WiringPlan | undefined;
  readonly wishes: Wishes;
  readonly onWishes: (wishes: Wishes) => void;
}

const ANYWHERE = "";
const MUSTS = ["sounds", "whole", "picture"] as const;

/** Pins, bans and hard wishes. Planned anew at once with each. */
export function WishList({ plan, wishes, onWishes }: WishesProps) {
  const job = useJob((state) => state.job);
  const { bonds, musts } = wishes;
  const players = job.devices.filter(({ role }) => role === "player");
  const hubs = pinnable(job);
  const keep = (change: Partial<Wishes>) => onWishes({ ...wishes, ...change });
  const pinOf = (player: string) => bonds.find((bond) => bond.bond === "pin" && bond.player === player);
  const pin = (player: string, hub: string) =>
    keep({
      bonds: [
        ...bonds.filter((bond) => !(bond.bond === "pin" && bond.player === player)),
        ...(hub === ANYWHERE ? [] : [{ bond: "pin", player, hub, port: null } as const]),
      ],
    });
  const without = (bond: Bond) => keep({ bonds: [...bonds, bond] });
  const noCables = bonds.some(({ bond }) => bond === "forbid-new-cables");
  const asked = job.devices.filter(({ sources }) => sources.length > 0);
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
        value={null}
        placeholder={plansWords.mustHave}
        options={asked.flatMap(({ id }) =>
          MUSTS.map((must) => ({ value: `${must}:${id}`, label: upperFirst(mustWords(job, { must, device: id })) })),
        )}
        onChange={(text: string | null) => {
          const [must, device] = text?.split(":") ?? [];
          const wish = MUSTS.find((one) => one === must);
          if (wish && device && !musts.some((one) => one.must === wish && one.device === device))
            keep({ musts: [...musts, { must: wish, device }] });
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
          if (what) without(what === "box" ? { bond: "forbid-box", archetype: name } : { bond: "forbid-school", school: name });
        }}
      />
      <ul>
        {musts.map((wish) => (
          <Kept
            key={`${wish.must} ${wish.device}`}
            words={upperFirst(mustWords(job, wish))}
            onLetGo={() => keep({ musts: musts.filter((one) => one !== wish) })}
          />
        ))}
        {bonds.flatMap((bond) =>
          bond.bond === "forbid-box" || bond.bond === "forbid-school"
            ? [
                <Kept
                  key={JSON.stringify(bond)}
                  words={plansWords.without(
                    bond.bond === "forbid-box" ? bond.archetype : (SCHOOLS.find((one) => one === bond.school) ?? bond.school),
                  )}
                  onLetGo={() => keep({ bonds: bonds.filter((other) => other !== bond) })}
                />,
              ]
            : [],
        )}
        {job.brief.mustStay.map((device) => (
          <li key={device} className={styles.quiet}>
            {plansWords.staysByBrief(deviceName(job, device))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Kept({ words, onLetGo }: { words: string; onLetGo: () => void }) {
  return (
    <li className={styles.kept}>
      <span>{words}</span>
      <button type="button" aria-label={plansWords.letGoOf(words)} onClick={onLetGo}>
        <X size={16} aria-hidden />
      </button>
    </li>
  );
}
