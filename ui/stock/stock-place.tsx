"use client";

import { Button, InputNumber } from "antd";
import dayjs from "dayjs";
import { Plus, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Outcome } from "@/core/outcome";
import { freeCounts, type Reservation, type StockChange, type StockItem } from "@/core/stock";
import { stockName } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { DamagedRows, EmptyPlace } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { NewStockForm } from "./new-stock-form";
import { addStock, adjustStock, dropStock, fitParts } from "./requests";
import styles from "./stock.module.css";
import { stockWords } from "@/ui/words";

interface JobParts extends Reservation {
  readonly id: string;
  readonly name: string;
  readonly visitOn: string | null;
}

/** What is in the van: counts, what is set aside for which job, and what to restock. */
interface StockPlaceProps {
  items: readonly StockItem[];
  damaged: readonly { readonly id: string; readonly text: string }[];
  jobs: readonly JobParts[];
}

export function StockPlace({ items, damaged, jobs }: StockPlaceProps) {
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
          {stockWords.addToTheVan}
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
          <section aria-label={stockWords.inTheVan}>
            <h2>{stockWords.inTheVan}</h2>
            <DamagedRows rows={damaged} onDrop={(id) => void dropStock(id).then((outcome) => after(outcome))} />
            {items.length ? (
              <table className={styles.list}>
                <thead>
                  <tr>
                    <th scope="col">{stockWords.part}</th>
                    <th scope="col">{stockWords.inTheVan}</th>
                    <th scope="col">{stockWords.setAside}</th>
                    <th scope="col">{stockWords.free}</th>
                    <th scope="col">{stockWords.restockBelow}</th>
                    <th scope="col">{stockWords.price}</th>
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
              <EmptyPlace heading={stockWords.nothingWrittenDownYet} words={stockWords.emptyVan} />
            )}
          </section>
          <div className={styles.side}>
            <section aria-label={stockWords.toRestock}>
              <h2>{stockWords.toRestock}</h2>
              {low.length === 0 ? <p className={styles.quiet}>{stockWords.nothingIsBelowItsMinimum}</p> : null}
              <ul>
                {low.map((item) => (
                  <li key={item.id}>
                    <PartName item={item} />: {stockWords.freeOfWanted(free.get(item.id) ?? 0, item.minimum)}
                  </li>
                ))}
              </ul>
            </section>
            <section aria-label={stockWords.setAsideForJobs}>
              <h2>{stockWords.setAsideForJobs}</h2>
              {jobs.length === 0 ? <p className={styles.quiet}>{stockWords.nothingSetAside}</p> : null}
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
  const set = (change: StockChange) => void adjustStock(id, change).then(onDone);
  const isLow = free < fields.minimum;
  return (
    <tr className={isLow ? styles.low : undefined}>
      <th scope="row">
        <span dir="auto">{name}</span>
        {isLow ? <b>{stockWords.belowMinimum}</b> : null}
      </th>
      <td>
        <Count label={stockWords.countOf(name)} value={fields.count} onChange={(count) => set({ countBy: count - fields.count })} />
      </td>
      <td>{fields.count - free}</td>
      <td>{free}</td>
      <td>
        <Count label={stockWords.restockBelowOf(name)} value={fields.minimum} onChange={(minimum) => set({ minimum })} />
      </td>
      <td>{fields.price === null ? "" : `${fields.price} ${currency}`.trim()}</td>
      <td>
        <Button
          type="text"
          icon={<Trash2 size={16} aria-hidden />}
          aria-label={stockWords.takeOffTheList(name)}
          title={stockWords.takeItOffTheList}
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
        <span className={styles.quiet}>{job.visitOn ? dayjs(job.visitOn).format("D MMM YYYY") : stockWords.noDayAgreed}</span>
      </h3>
      <ul>
        {job.reserved.map(({ need }) => (
          <li key={`${need.part.kind} ${need.part.id}`}>{stockName(need.what, units)}</li>
        ))}
        {job.missing.map((need) => (
          <li key={`${need.part.kind} ${need.part.id}`} className={styles.missing}>
            {stockWords.notInTheVan(stockName(need.what, units))}
          </li>
        ))}
      </ul>
      <Button size="small" disabled={job.missing.length > 0} onClick={onFitted}>
        {stockWords.fitted(job.reserved.length)}
      </Button>
    </article>
  );
}
