"use client";

import { Button, InputNumber } from "antd";
import { Plus, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Outcome } from "@/core/outcome";
import { freeCounts, type Reservation, type StockFields, type StockItem } from "@/core/stock";
import { plural, stockName } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { EmptyPlace } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { NewStockForm } from "./new-stock-form";
import { addStock, changeStock, dropStock, fitParts } from "./requests";
import styles from "./stock.module.css";

interface JobParts extends Reservation {
  readonly id: string;
  readonly name: string;
  readonly visitOn: string | null;
}

/** What lies in the van: counts, what is set aside for which job, and what to restock. */
export function StockPlace({ items, jobs }: { items: readonly StockItem[]; jobs: readonly JobParts[] }) {
  const router = useRouter();
  const [adding, setAdding] = useState(false);
  const [notice, setNotice] = useState<string | null>(null);
  const free = freeCounts(items, jobs);
  const after = (outcome: Outcome<unknown, string>, then?: () => void) => {
    setNotice(outcome.ok ? null : outcome.refusal);
    if (outcome.ok) then?.();
    router.refresh();
  };
  const low = items.filter((item) => (free.get(item.id) ?? 0) < item.minimum);
  return (
    <OutsideFrame
      acts={
        <Button type="primary" icon={<Plus size={16} aria-hidden />} onClick={() => setAdding(true)}>
          Add to the van
        </Button>
      }
    >
      <main className={styles.stock}>
        <div aria-live="assertive">{notice ? <p className={styles.notice}>{notice}</p> : null}</div>
        {adding ? (
          <NewStockForm
            onKeep={(fields) => void addStock(fields).then((outcome) => after(outcome, () => setAdding(false)))}
            onLeave={() => setAdding(false)}
          />
        ) : null}
        <div className={styles.columns}>
          <section aria-label="In the van">
            <h2>In the van</h2>
            {items.length ? (
              <table className={styles.list}>
                <thead>
                  <tr>
                    <th scope="col">Part</th>
                    <th scope="col">In the van</th>
                    <th scope="col">Set aside</th>
                    <th scope="col">Free</th>
                    <th scope="col">Restock below</th>
                    <th scope="col">Price</th>
                    <td />
                  </tr>
                </thead>
                <tbody>
                  {items.map((item) => (
                    <StockLine key={item.id} item={item} free={free.get(item.id) ?? 0} onDone={after} />
                  ))}
                </tbody>
              </table>
            ) : (
              <EmptyPlace
                heading="Nothing written down yet"
                words="Cables by class and length, boxes and spares stand here with their counts; jobs take from them."
              />
            )}
          </section>
          <div className={styles.side}>
            <section aria-label="To restock">
              <h2>To restock</h2>
              {low.length === 0 ? <p className={styles.quiet}>Nothing is below its minimum.</p> : null}
              <ul>
                {low.map((item) => (
                  <li key={item.id}>
                    <PartName item={item} />: {free.get(item.id) ?? 0} free, at least {item.minimum} wanted
                  </li>
                ))}
              </ul>
            </section>
            <section aria-label="Set aside for jobs">
              <h2>Set aside for jobs</h2>
              {jobs.length === 0 ? (
                <p className={styles.quiet}>
                  No open job takes anything. On a job’s map each cable, and on Gear each device, can come from the van.
                </p>
              ) : null}
              {jobs.map((job) => (
                <JobLine key={job.id} job={job} onFitted={() => void fitParts(job.id).then((outcome) => after(outcome))} />
              ))}
            </section>
          </div>
        </div>
      </main>
    </OutsideFrame>
  );
}

function PartName({ item }: { item: Pick<StockItem, "what"> }) {
  const { units } = usePreferences();
  return <span dir="auto">{stockName(item.what, units)}</span>;
}

interface StockLineProps {
  readonly item: StockItem;
  readonly free: number;
  readonly onDone: (outcome: Outcome<unknown, string>) => void;
}

function StockLine({ item: { id, ...fields }, free, onDone }: StockLineProps) {
  const { units, currency } = usePreferences();
  const name = stockName(fields.what, units);
  const set = (change: Partial<StockFields>) => void changeStock(id, { ...fields, ...change }).then(onDone);
  const isLow = free < fields.minimum;
  return (
    <tr className={isLow ? styles.low : undefined}>
      <th scope="row">
        <span dir="auto">{name}</span>
        {isLow ? <b>below minimum</b> : null}
      </th>
      <td>
        <Count label={`${name}: in the van`} value={fields.count} onChange={(count) => set({ count })} />
      </td>
      <td>{fields.count - free}</td>
      <td>{free}</td>
      <td>
        <Count label={`${name}: restock below`} value={fields.minimum} onChange={(minimum) => set({ minimum })} />
      </td>
      <td>{fields.price === null ? "" : `${fields.price} ${currency}`.trim()}</td>
      <td>
        <Button
          type="text"
          icon={<Trash2 size={16} aria-hidden />}
          aria-label={`Take ${name} off the list`}
          title="Take it off the list"
          onClick={() => void dropStock(id).then(onDone)}
        />
      </td>
    </tr>
  );
}

function Count({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <InputNumber
      size="small"
      aria-label={label}
      min={0}
      max={9999}
      precision={0}
      defaultValue={value}
      key={value}
      onBlur={(event) => {
        const typed = Number(event.target.value);
        if (event.target.value !== "" && Number.isInteger(typed) && typed >= 0 && typed !== value) onChange(typed);
      }}
      onPressEnter={(event) => event.currentTarget.blur()}
      onStep={(next) => onChange(next)}
    />
  );
}

function JobLine({ job, onFitted }: { job: JobParts; onFitted: () => void }) {
  const { units } = usePreferences();
  return (
    <article className={styles.job}>
      <h3>
        <Link href={`/jobs/${job.id}/patch`} dir="auto">
          {job.name}
        </Link>
        <span className={styles.quiet}>{job.visitOn ?? "no day agreed"}</span>
      </h3>
      <ul>
        {job.reserved.map(({ need }) => (
          <li key={`${need.part.kind} ${need.part.id}`}>{stockName(need.what, units)}</li>
        ))}
        {job.missing.map((need) => (
          <li key={`${need.part.kind} ${need.part.id}`} className={styles.missing}>
            {stockName(need.what, units)}: not in the van
          </li>
        ))}
      </ul>
      <Button size="small" disabled={job.missing.length > 0} onClick={onFitted}>
        Fitted: take {plural(job.reserved.length, "part")} out of the van
      </Button>
    </article>
  );
}
