"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { LogOut } from "lucide-react";
import { useState } from "react";
import { askServer, forgetPages } from "@/ui/kit";
import { accessWords } from "@/ui/words";
import styles from "./access.module.css";

/** A browser that is signed in. */
export interface SessionShown {
  readonly at: number;
  readonly seen: number;
  readonly address: string;
  readonly agent: string;
  /** The one that is looking. */
  readonly isHere: boolean;
}

const DAY = "D MMM YYYY, HH:mm";

/** Who is signed in, and the ways out. */
export function Sessions({ sessions }: { sessions: readonly SessionShown[] }) {
  const [told, setTold] = useState<string | null>(null);
  const leave = async (url: string) => {
    const outcome = await askServer(url, { method: "DELETE" });
    // A fresh page, which leads to the way in: nothing of what was shown is left.
    if (outcome.ok) {
      await forgetPages();
      window.location.reload();
    } else setTold(outcome.refusal);
  };
  return (
    <section aria-label={accessWords.whoIsSignedIn}>
      <h2>{accessWords.whoIsSignedIn}</h2>
      <ul className={styles.sessions}>
        {sessions.map(({ at, seen, address, agent, isHere }) => (
          <li key={`${at} ${address} ${agent}`}>
            <b>{isHere ? accessWords.thisBrowser : accessWords.browserAt(address)}</b>
            <span>{accessWords.sessionWords(dayjs(at).format(DAY), dayjs(seen).format(DAY))}</span>
            <span className={styles.agent}>{agent}</span>
          </li>
        ))}
      </ul>
      <p className={styles.ways}>
        <Button icon={<LogOut size={16} aria-hidden />} onClick={() => void leave("/api/session")}>
          {accessWords.signOut}
        </Button>
        <Button danger onClick={() => void leave("/api/sessions")}>
          {accessWords.signOutEverywhere}
        </Button>
      </p>
      <p role="alert">{told}</p>
    </section>
  );
}
