"use client";

import { Button } from "antd";
import Link from "next/link";
import { useJob } from "@/ui/job";
import styles from "./arrivals.module.css";

/** What will stand here, and the first act. */
export function EmptyBoard() {
  const id = useJob((state) => state.id);
  return (
    <div className={styles.empty}>
      <h2>No player yet</h2>
      <p>
        Here each player and each kind of content gets a row: what reaches the speakers, where the rest is lost, and what would lift it.
      </p>
      <Link href={`/jobs/${id}/gear`}>
        <Button type="primary">Take stock of the gear</Button>
      </Link>
    </div>
  );
}
