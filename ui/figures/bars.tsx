"use client";

import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from "chart.js";
import { Bar } from "react-chartjs-2";
import { PALETTE, useThemeChoice } from "@/ui/theme";

Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
Chart.defaults.font.size = 13;
Chart.register(BarController, BarElement, CategoryScale, Legend, LinearScale, Tooltip);

/** A row of bars: a name, and a figure for each line of bars. */
export interface BarRow {
  readonly name: string;
  readonly figures: readonly number[];
}

interface BarsProps {
  /** The names of the lines of bars; a legend stands there where there are several. */
  readonly lines: readonly string[];
  readonly rows: readonly BarRow[];
  readonly unit: string;
}

/** Figures as bars from left to right, each with its name; the same in words for whoever does not see them. */
export function Bars({ lines, rows, unit }: BarsProps) {
  const { theme } = useThemeChoice();
  const colours = PALETTE[theme];
  const fills = [colours.string, colours.brass];
  const told = rows.map(
    ({ name, figures }) => `${name}: ${figures.map((figure, index) => `${lines[index] ?? ""} ${figure}`.trim()).join(", ")}`,
  );
  return (
    <div style={{ height: 56 + rows.length * (18 + lines.length * 14) }}>
      <Bar
        aria-label={`${told.join("; ")} (${unit})`}
        data={{
          labels: rows.map(({ name }) => name),
          datasets: lines.map((label, index) => ({
            label,
            data: rows.map(({ figures }) => figures[index] ?? 0),
            backgroundColor: fills[index % fills.length] ?? colours.string,
            barThickness: 12,
          })),
        }}
        options={{
          indexAxis: "y",
          animation: false,
          maintainAspectRatio: false,
          plugins: {
            legend: { display: lines.length > 1, align: "end", labels: { color: colours.ink, boxWidth: 14, boxHeight: 10 } },
          },
          scales: {
            x: {
              beginAtZero: true,
              ticks: { color: colours.quiet, precision: 0 },
              grid: { color: colours.line },
              title: { display: true, text: unit, color: colours.quiet },
            },
            y: { ticks: { color: colours.ink }, grid: { display: false } },
          },
        }}
      />
    </div>
  );
}
