"use client";

import type { Bond, WiringPlan } from "@/core/plan";
import { deviceName } from "@/core/text";
import { useJob } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import styles from "./plans.module.css";

interface BondsProps {
  readonly plan: WiringPlan;
  readonly bonds: readonly Bond[];
  readonly onBonds: (bonds: readonly Bond[]) => void;
}

const ANYWHERE = "";

/** What a plan must keep to: where a player belongs, boxes that are not wanted, no new cable. Planned anew at once. */
export function Bonds({ plan, bonds, onBonds }: BondsProps) {
  const job = useJob((state) => state.job);
  const hubs = job.devices.filter(
    ({ role, ports }) => role !== "player" && ports.some(({ connector, direction }) => connector === "hdmi" && direction === "in"),
  );
  const pinOf = (player: string) => bonds.find((bond) => bond.bond === "pin" && bond.player === player);
  const pin = (player: string, hub: string) =>
    onBonds([
      ...bonds.filter((bond) => !(bond.bond === "pin" && bond.player === player)),
      ...(hub === ANYWHERE ? [] : [{ bond: "pin", player, hub, port: null } as const]),
    ]);
  const noCables = bonds.some(({ bond }) => bond === "forbid-new-cables");
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-box" ? [bond] : []));
  return (
    <section className={styles.bonds} aria-label={plansWords.bonds}>
      <h3>{plansWords.bonds}</h3>
      {[...plan.places.keys()].map((player) => {
        const pinned = pinOf(player);
        return (
          <label key={player}>
            <span dir="auto">{deviceName(job, player)}</span>
            <Choice
              label={plansWords.belongs(deviceName(job, player))}
              size="small"
              value={pinned?.bond === "pin" ? pinned.hub : ANYWHERE}
              options={[
                { value: ANYWHERE, label: plansWords.anywhere },
                ...hubs.map(({ id, name }) => ({ value: id, label: plansWords.inHub(name) })),
              ]}
              onChange={(hub) => pin(player, hub)}
            />
          </label>
        );
      })}
      <label className={styles.tick}>
        <input
          type="checkbox"
          checked={noCables}
          onChange={(event) =>
            onBonds([
              ...bonds.filter(({ bond }) => bond !== "forbid-new-cables"),
              ...(event.target.checked ? [{ bond: "forbid-new-cables" } as const] : []),
            ])
          }
        />
        {plansWords.noNewCables}
      </label>
      {plan.boxes.flatMap(({ device, isThere }) =>
        isThere || !device.archetype
          ? []
          : [
              <button
                key={device.id}
                type="button"
                className={styles.forbid}
                onClick={() => onBonds([...bonds, { bond: "forbid-box", archetype: device.archetype ?? "" }])}
              >
                {plansWords.without(device.name)}
              </button>,
            ],
      )}
      {forbidden.map((bond) => (
        <button
          key={bond.archetype}
          type="button"
          className={styles.forbid}
          onClick={() => onBonds(bonds.filter((other) => other !== bond))}
        >
          {plansWords.allowAgain(bond.archetype)}
        </button>
      ))}
    </section>
  );
}
