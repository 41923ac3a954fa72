"use client";

import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { ThemeSwitch } from "@/ui/theme";
import { FindButton } from "./find-button";
import styles from "./frame.module.css";

/** The places outside the jobs. */
const OUTSIDE = [
  { href: "/", name: "Docket" },
  { href: "/shelf", name: "Shelf" },
  { href: "/stock", name: "Van stock" },
  { href: "/settings", name: "Settings" },
] as const;

/** The one line on top of the places outside the jobs, and the page below it. */
export function OutsideFrame({ acts, children }: { acts?: ReactNode; children: ReactNode }) {
  const here = usePathname();
  const router = useRouter();
  return (
    <div className={styles.frame}>
      <header className={styles.top}>
        <nav aria-label="Places outside the jobs" className={styles.places}>
          {OUTSIDE.map(({ href, name }) => (
            <Link
              key={href}
              href={href}
              className={here === href ? styles.here : styles.place}
              {...(here === href ? { "aria-current": "page" as const } : {})}
            >
              {here === href ? <h1>{name}</h1> : name}
            </Link>
          ))}
        </nav>
        <div className={styles.acts}>
          {acts}
          <FindButton
            entries={() => [
              ...OUTSIDE.map(({ href, name }) => ({ key: href, name, detail: "place", run: () => router.push(href) })),
              { key: "new", name: "New job", detail: "act", run: () => router.push("/?new=1") },
            ]}
          />
          <ThemeSwitch />
        </div>
      </header>
      {children}
    </div>
  );
}
