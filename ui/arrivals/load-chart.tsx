"use client";

import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from "chart.js";
import { Bar } from "react-chartjs-2";
import { linkFact } from "@/core/facts";
import { linkLoads, type Arrival } from "@/core/chain";
import { deviceName } from "@/core/text";
import { useJob } from "@/ui/job";
import { PALETTE, useThemeChoice } from "@/ui/theme";
import { arrivalsWords } from "@/ui/words";

Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
Chart.defaults.font.size = 13;
Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** What goes over each digital link of a row, what its best form would need, and what the link can carry. */
export function LoadChart({ arrival }: { arrival: Arrival }) {
  const job = useJob((state) => state.job);
  const { theme } = useThemeChoice();
  const colours = PALETTE[theme];
  const loads = linkLoads(arrival);
  if (loads.length === 0) return null;
  const names = loads.map(({ cable, link }) => {
    const found = job.cables.find(({ id }) => id === cable);
    return found ? `${linkFact(link).name}, ${deviceName(job, found.to.device)}` : linkFact(link).name;
  });
  const figures = loads.map(({ carriedMbps, wantedMbps, haveMbps }) => arrivalsWords.loadFigures(carriedMbps, wantedMbps, haveMbps));
  const bar = (label: string, colour: string, values: readonly number[]) => ({
    label,
    data: [...values],
    backgroundColor: colour,
    barThickness: 7,
  });
  return (
    <div style={{ height: 44 + loads.length * 44 }}>
      <Bar
        aria-label={arrivalsWords.loadsOfLinks(names.map((name, index) => `${name}: ${figures[index] ?? ""}`).join("; "))}
        data={{
          labels: names,
          datasets: [
            bar(
              arrivalsWords.goesOverIt,
              colours.whole,
              loads.map(({ carriedMbps }) => carriedMbps),
            ),
            bar(
              arrivalsWords.theBestFormNeeds,
              colours.part,
              loads.map(({ wantedMbps }) => wantedMbps),
            ),
            bar(
              arrivalsWords.theLinkCanCarry,
              colours.edge,
              loads.map(({ haveMbps }) => haveMbps),
            ),
          ],
        }}
        options={{
          indexAxis: "y",
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              ticks: { color: colours.quiet },
              grid: { color: colours.line },
              title: { display: true, text: "Mb/s", color: colours.quiet },
            },
            y: { ticks: { color: colours.ink }, grid: { display: false } },
          },
        }}
      />
    </div>
  );
}
