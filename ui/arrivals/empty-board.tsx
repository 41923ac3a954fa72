"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { EmptyPlace } from "@/ui/kit";
import { useJob } from "@/ui/job";
import { arrivalsWords } from "@/ui/words";

export function EmptyBoard() {
  const id = useJob((state) => state.id);
  const router = useRouter();
  return (
    <EmptyPlace heading={arrivalsWords.noPlayerYet} words={arrivalsWords.emptyBoard}>
      <Button type="primary" onClick={() => router.push(`/jobs/${id}/gear`)}>
        {arrivalsWords.takeStockOfTheGear}
      </Button>
    </EmptyPlace>
  );
}
