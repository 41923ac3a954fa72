"use client";

import { Button } from "antd";
import { Smartphone } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

const PhoneDialog = dynamic(() => import("@/ui/access").then((module) => module.PhoneDialog), { ssr: false });

/** Opens the code by which a phone comes to a page of this job. */
export function PhoneButton({ path }: { path: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button className={styles.laptopOnly ?? ""} icon={<Smartphone size={18} aria-hidden />} onClick={() => setOpen(true)}>
        {visitWords.onThePhone}
      </Button>
      {open ? <PhoneDialog path={path} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
