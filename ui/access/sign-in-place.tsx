"use client";

import { Button, Input } from "antd";
import { LogIn } from "lucide-react";
import { useState, useSyncExternalStore } from "react";
import { asJson, askServer } from "@/ui/kit";
import { accessWords } from "@/ui/words";
import styles from "./access.module.css";

/** A scanned code carries its ticket behind the address, where no server sees it. */
const useTicket = (): string =>
  useSyncExternalStore(
    () => () => undefined,
    () => window.location.hash.slice(1),
    () => "",
  );

/** The way in where a passphrase is set; it leads on to the page that was asked for. */
export function SignInPlace({ next }: { next: string }) {
  const [passphrase, setPassphrase] = useState("");
  const [told, setTold] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ticket = useTicket();
  const [types, setTypes] = useState(false);
  const byTicket = ticket !== "" && !types;
  const signIn = async () => {
    setBusy(true);
    const outcome = await askServer("/api/session", asJson("POST", byTicket ? { ticket } : { passphrase }));
    if (outcome.ok) {
      // A fresh page, so that nothing of the one before signing in is left.
      window.location.assign(next);
      return;
    }
    setTold(outcome.refusal);
    setTypes(true);
    setBusy(false);
  };
  return (
    <main className={styles.way}>
      <form
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          void signIn();
        }}
      >
        <h1>{accessWords.octachord}</h1>
        <p>{byTicket ? accessWords.byTicketWords : accessWords.signInWords}</p>
        {byTicket ? null : (
          <label>
            {accessWords.passphrase}
            <Input.Password
              autoFocus
              size="large"
              value={passphrase}
              maxLength={1000}
              autoComplete="current-password"
              onChange={(event) => setPassphrase(event.target.value)}
            />
          </label>
        )}
        <p role="alert" className={styles.told}>
          {told}
        </p>
        <Button
          type="primary"
          size="large"
          htmlType="submit"
          icon={<LogIn size={18} aria-hidden />}
          loading={busy}
          disabled={!byTicket && passphrase === ""}
        >
          {byTicket ? accessWords.signInHere : accessWords.signIn}
        </Button>
        {byTicket ? (
          <Button size="large" onClick={() => setTypes(true)}>
            {accessWords.passphraseInstead}
          </Button>
        ) : null}
      </form>
    </main>
  );
}
