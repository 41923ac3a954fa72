"use client";

import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { Mark } from "@/ui/kit";
import { ThemeSwitch } from "@/ui/theme";
import { FindButton } from "./find-button";
import styles from "./frame.module.css";
import { frameWords } from "@/ui/words";

/** The places outside the jobs. */
const OUTSIDE = [
  { href: "/", name: frameWords.docket },
  { href: "/days", name: frameWords.days },
  { href: "/join", name: frameWords.join },
  { href: "/shelf", name: frameWords.shelf },
  { href: "/stock", name: frameWords.vanStock },
  { href: "/practice", name: frameWords.practice },
  { href: "/figures", name: frameWords.figures },
  { href: "/settings", name: frameWords.settings },
] as const;

/** The one line on top of the places outside the jobs, and the page below it. */
export function OutsideFrame({ acts, children }: { acts?: ReactNode; children: ReactNode }) {
  const here = usePathname();
  const router = useRouter();
  return (
    <div className={styles.frame}>
      <header className={styles.top}>
        <Link href="/" className={styles.brand}>
          <Mark />
          {frameWords.octachord}
        </Link>
        <nav aria-label={frameWords.placesOutsideTheJobs} className={styles.places}>
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
              ...OUTSIDE.map(({ href, name }) => ({ key: href, name, detail: frameWords.place, run: () => router.push(href) })),
              { key: "new", name: frameWords.newJob, detail: frameWords.act, run: () => router.push("/?new=1") },
            ]}
          />
          <ThemeSwitch />
        </div>
      </header>
      {children}
    </div>
  );
}
