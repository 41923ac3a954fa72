"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { EmptyPlace } from "@/ui/kit";
import { useJob } from "@/ui/job";

export function EmptyBoard() {
  const id = useJob((state) => state.id);
  const router = useRouter();
  return (
    <EmptyPlace
      heading="No player yet"
      words="Here each player and each kind of content gets a row: what reaches the speakers, where the rest is lost, and what would lift it."
    >
      <Button type="primary" onClick={() => router.push(`/jobs/${id}/gear`)}>
        Take stock of the gear
      </Button>
    </EmptyPlace>
  );
}
