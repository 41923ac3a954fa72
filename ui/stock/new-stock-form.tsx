"use client";

import { Button, Input, InputNumber } from "antd";
import { useState } from "react";
import { CABLE_CLASS_IDS, cableClassFact, WIRE_MM2 } from "@/core/facts";
import { SHELF } from "@/core/device";
import { StockFields, type StockWhat } from "@/core/stock";
import { Choice } from "@/ui/kit";
import { LengthField } from "@/ui/preferences";
import styles from "./stock.module.css";
import { stockWords } from "@/ui/words";

const START: StockFields = { what: { kind: "cable", class: "ultra-high-speed", lengthM: 2 }, count: 1, minimum: 0, price: null };

/** One more line for the van's list. */
export function NewStockForm({ onKeep, onLeave }: { onKeep: (fields: StockFields) => void; onLeave: () => void }) {
  const [fields, setFields] = useState(START);
  const [trouble, setTrouble] = useState<string | null>(null);
  const set = (change: Partial<StockFields>) => setFields({ ...fields, ...change });
  const keep = () => {
    const read = StockFields.safeParse(fields);
    if (read.success) onKeep(read.data);
    else setTrouble(stockWords.nameNeeded);
  };
  return (
    <section className={styles.form} aria-label={stockWords.addToTheVan}>
      <label>
        {stockWords.whatItIs}
        <Choice
          label={stockWords.whatItIs}
          value={fields.what.kind}
          options={[
            { value: "cable", label: stockWords.aCable },
            { value: "wire", label: stockWords.speakerWire },
            { value: "device", label: stockWords.aDevice },
            { value: "spare", label: stockWords.somethingElse },
          ]}
          onChange={(kind) => set({ what: startOf(kind) })}
        />
      </label>
      <WhatFields what={fields.what} onChange={(what) => set({ what })} />
      <label>
        {stockWords.count}
        <InputNumber min={0} max={9999} precision={0} value={fields.count} onChange={(count) => set({ count: count ?? 0 })} />
      </label>
      <label>
        {stockWords.restockBelow}
        <InputNumber min={0} max={9999} precision={0} value={fields.minimum} onChange={(minimum) => set({ minimum: minimum ?? 0 })} />
      </label>
      <label>
        {stockWords.price}
        <InputNumber min={0} max={1_000_000} value={fields.price} onChange={(price) => set({ price })} placeholder={stockWords.notPriced} />
      </label>
      <p aria-live="assertive" className={styles.missing}>
        {trouble}
      </p>
      <div className={styles.formActs}>
        <Button onClick={onLeave}>{stockWords.leaveIt}</Button>
        <Button type="primary" onClick={keep}>
          {stockWords.keep}
        </Button>
      </div>
    </section>
  );
}

function startOf(kind: StockWhat["kind"]): StockWhat {
  switch (kind) {
    case "cable":
      return { kind, class: "ultra-high-speed", lengthM: 2 };
    case "device":
      return { kind, archetype: SHELF.find(({ role }) => role === "box")?.archetype ?? "" };
    case "wire":
      return { kind, mm2: 1.5, lengthM: 25 };
    case "spare":
      return { kind, name: "" };
  }
}

function WhatFields({ what, onChange }: { what: StockWhat; onChange: (what: StockWhat) => void }) {
  switch (what.kind) {
    case "cable":
      return (
        <>
          <label>
            {stockWords.classWord}
            <Choice
              label={stockWords.classOfTheCable}
              value={what.class}
              options={CABLE_CLASS_IDS.filter((id) => id !== "direct-plug" && id !== "bluetooth").map((id) => ({
                value: id,
                label: cableClassFact(id).name,
              }))}
              onChange={(chosen) => onChange({ ...what, class: chosen })}
            />
          </label>
          <label>
            {stockWords.length}
            <LengthField label={stockWords.length} value={what.lengthM} onChange={(lengthM) => lengthM && onChange({ ...what, lengthM })} />
          </label>
        </>
      );
    case "device":
      return (
        <label className={styles.wide}>
          {stockWords.device}
          <Choice
            label={stockWords.deviceOfTheShelf}
            showSearch={{ optionFilterProp: "label" }}
            value={what.archetype}
            options={SHELF.map(({ archetype, name, summary }) => ({ value: archetype, label: `${name}: ${summary}` }))}
            onChange={(archetype) => onChange({ ...what, archetype })}
          />
        </label>
      );
    case "wire":
      return (
        <>
          <label>
            {stockWords.size}
            <Choice
              label={stockWords.size}
              value={String(what.mm2)}
              options={WIRE_MM2.map((size) => ({ value: String(size), label: stockWords.squareMillimetres(size) }))}
              onChange={(chosen) => onChange({ ...what, mm2: WIRE_MM2.find((size) => String(size) === chosen) ?? what.mm2 })}
            />
          </label>
          <label>
            {stockWords.length}
            <LengthField label={stockWords.length} value={what.lengthM} onChange={(lengthM) => lengthM && onChange({ ...what, lengthM })} />
          </label>
        </>
      );
    case "spare":
      return (
        <label className={styles.wide}>
          {stockWords.name}
          <Input value={what.name} maxLength={120} autoFocus onChange={(event) => onChange({ ...what, name: event.target.value })} />
        </label>
      );
  }
}
