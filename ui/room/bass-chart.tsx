"use client";

import { CategoryScale, Chart, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from "chart.js";
import { Line } from "react-chartjs-2";
import type { BassCurve } from "@/core/room";
import { roomWords } from "@/ui/words";

Chart.register(CategoryScale, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
Chart.defaults.font.size = 13;

const DASHES = [[], [6, 4], [2, 3], [10, 3, 2, 3]] as const;

/** The level of the subwoofer at each seat by frequency; an estimate, and told as one. */
export function BassChart({ seats }: { seats: readonly { readonly name: string; readonly curve: BassCurve }[] }) {
  const style = getComputedStyle(document.documentElement);
  const colour = (token: string) => style.getPropertyValue(token).trim();
  const lines = [colour("--brass"), colour("--whole"), colour("--string"), colour("--part")];
  const axis = { grid: { color: colour("--line") }, ticks: { color: colour("--quiet") } };
  return (
    <div style={{ height: 240 }}>
      <Line
        aria-label={roomWords.bassAt(seats.map(({ name, curve }) => roomWords.spread(name, curve.spreadDb.toFixed(0))).join("; "))}
        data={{
          labels: [...(seats[0]?.curve.hertz ?? [])],
          datasets: seats.map(({ name, curve }, index) => ({
            label: name,
            data: [...curve.db],
            borderColor: lines[index % lines.length] ?? "",
            borderDash: [...(DASHES[index % DASHES.length] ?? [])],
            borderWidth: 2,
            pointRadius: 0,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          plugins: { legend: { labels: { color: colour("--ink"), boxWidth: 34, boxHeight: 1 } } },
          scales: {
            x: { ...axis, title: { display: true, text: "Hz", color: colour("--quiet") }, ticks: { ...axis.ticks, maxTicksLimit: 11 } },
            y: { ...axis, title: { display: true, text: "dB", color: colour("--quiet") } },
          },
        }}
      />
    </div>
  );
}
