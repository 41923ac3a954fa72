"use client";

import { Modal } from "antd";
import { kitWords } from "@/ui/words";
import { CordLegend } from "./cord-legend";

/** The one explanation of the strings. */
export function LegendDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal title={kitWords.howToReadTheStrings} open onCancel={onClose} footer={null} width={640}>
      <CordLegend />
    </Modal>
  );
}
