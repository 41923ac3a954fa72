"use client";

import { Button, Modal, QRCode } from "antd";
import { useCallback, useEffect, useState } from "react";
import { z } from "zod";
import { askServer } from "@/ui/kit";
import { accessWords } from "@/ui/words";
import styles from "./access.module.css";

const WayIn = z.object({ addresses: z.array(z.string()), ticket: z.string().nullable(), seconds: z.number().nullable() });
type WayIn = z.infer<typeof WayIn>;

/** The code that a phone reads to come to a page of this server, signed in once; or how to let a phone in at all. */
export function PhoneDialog({ path, onClose }: { path: string; onClose: () => void }) {
  const [way, setWay] = useState<WayIn | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const fetchWay = useCallback(async () => {
    const outcome = await askServer("/api/session/ticket", { method: "POST" });
    const read = outcome.ok ? WayIn.safeParse(outcome.value) : null;
    if (read?.success) setWay(read.data);
    else setTold(outcome.ok ? accessWords.notUnderstood : outcome.refusal);
  }, []);
  useEffect(() => {
    // The code is the server's to give; there is nothing to show before it answers.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    void fetchWay();
  }, [fetchWay]);
  useEffect(() => {
    const seconds = way?.seconds ?? null;
    if (seconds === null) return undefined;
    const timer = setTimeout(() => void fetchWay(), seconds * 900);
    return () => clearTimeout(timer);
  }, [way, fetchWay]);
  return (
    <Modal title={accessWords.onThePhone} open onCancel={onClose} footer={<Button onClick={onClose}>{accessWords.close}</Button>}>
      <p role="alert">{told}</p>
      {way?.addresses.length === 0 ? <p>{accessWords.thisMachineOnly}</p> : null}
      {way?.addresses.length ? <p>{way.ticket ? accessWords.readTheCode : accessWords.readTheCodeOpen}</p> : null}
      <ul className={styles.codes}>
        {(way?.addresses ?? []).map((address) => {
          const to = way?.ticket ? `${address}/sign-in?next=${encodeURIComponent(path)}#${way.ticket}` : `${address}${path}`;
          return (
            <li key={address}>
              <span role="img" aria-label={accessWords.codeOf(address)}>
                <QRCode value={to} size={260} color="#000000" bgColor="#ffffff" bordered={false} marginSize={4} errorLevel="M" />
              </span>
              <code>{address}</code>
            </li>
          );
        })}
      </ul>
    </Modal>
  );
}
