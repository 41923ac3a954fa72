"use client";

import { Button, Popconfirm } from "antd";
import { Trash2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { z } from "zod";
import { asJson, askServer, Choice } from "@/ui/kit";
import { settingsWords } from "@/ui/words";
import styles from "./settings.module.css";

/** A customer with what is kept of them. */
export interface CustomerShown {
  readonly customer: string;
  readonly jobs: number;
  readonly inBin: number;
  readonly photos: number;
}

const Erased = z.object({ erased: z.array(z.object({ name: z.string(), saves: z.number(), photos: z.number() })) });

/** Erases all that is kept of one customer, and lists what went. */
export function EraseCustomer({ customers }: { customers: readonly CustomerShown[] }) {
  const router = useRouter();
  const [chosen, setChosen] = useState<string | null>(null);
  const [told, setTold] = useState<readonly string[]>([]);
  const kept = customers.find(({ customer }) => customer === chosen);
  const erase = async () => {
    if (!kept) return;
    const outcome = await askServer("/api/customers/erase", asJson("POST", { customer: kept.customer }));
    if (outcome.ok) {
      const { erased } = Erased.parse(outcome.value);
      setTold([
        settingsWords.erasedOf(kept.customer),
        ...erased.map(({ name, saves, photos }) => settingsWords.erasedJob(name, saves, photos)),
        settingsWords.copiesStillHoldThem,
      ]);
      setChosen(null);
      router.refresh();
    } else setTold([outcome.refusal]);
  };
  return (
    <section aria-label={settingsWords.eraseACustomer}>
      <h2>{settingsWords.eraseACustomer}</h2>
      <p className={styles.quiet}>{settingsWords.eraseWords}</p>
      <label>
        {settingsWords.customer}
        <Choice
          label={settingsWords.customer}
          value={chosen}
          showSearch
          placeholder={customers.length ? settingsWords.chooseACustomer : settingsWords.noCustomer}
          disabled={customers.length === 0}
          options={customers.map(({ customer }) => ({ value: customer, label: customer }))}
          onChange={(customer: string | null) => {
            setChosen(customer);
            setTold([]);
          }}
        />
      </label>
      {kept ? (
        <p className={styles.row}>
          {settingsWords.keptOf(kept.jobs, kept.inBin, kept.photos)}
          <Popconfirm
            title={settingsWords.eraseForGood(kept.customer)}
            description={settingsWords.cannotBeTakenBack}
            okText={settingsWords.erase}
            okButtonProps={{ danger: true }}
            cancelText={settingsWords.keepThem}
            onConfirm={() => void erase()}
          >
            <Button danger icon={<Trash2 size={16} aria-hidden />}>
              {settingsWords.erase}
            </Button>
          </Popconfirm>
        </p>
      ) : null}
      <div aria-live="polite">
        {told.length ? (
          <ul className={styles.told}>
            {told.map((words) => (
              <li key={words} dir="auto">
                {words}
              </li>
            ))}
          </ul>
        ) : null}
      </div>
    </section>
  );
}
