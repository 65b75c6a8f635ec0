'use client';

import { CategoryScale, Chart, Legend, LineElement, LinearScale, PointElement } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { expo } from '@/core/chain';
import type { Input } from '@/core/setup';

Chart.register(LinearScale, CategoryScale, PointElement, LineElement, Legend);

const STICKS = Array.from({ length: 21 }, (_, i) => -100 + 10 * i);
/** Told apart by dash as well as by colour. */
const DASHES = [[], [8, 4], [2, 3], [10, 3, 2, 3], [4, 4]];

/** What goes out for where the stick is, one line for every stick and rate. */
export default function RateChart({ inputs }: { inputs: readonly Input[] }) {
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  const colours = ['--accent', '--ink', '--focus', '--proven', '--stale'].map(colour);
  const lines = inputs.flatMap((input) =>
    input.rates.map((rate, j) => ({
      label: input.rates.length > 1 ? `${input.label}, rate ${j + 1}` : input.label,
      data: STICKS.map((x) => (rate.sharePct / 100) * expo(x, rate.expoPct)),
    })),
  );
  const axis = (text: string) => ({
    title: { display: true, text, color: colour('--ink-soft') },
    ticks: { color: colour('--ink-soft') },
    grid: { color: colour('--card-edge') },
  });
  return (
    <div className="relative h-56 min-w-0 overflow-hidden">
      <Line
        role="img"
        aria-label="Rate and expo curves; the numbers stand below"
        data={{
          labels: STICKS,
          datasets: lines.map((line, i) => ({
            ...line,
            borderColor: colours[i % colours.length]!,
            borderDash: DASHES[i % DASHES.length]!,
            borderWidth: 2,
            pointRadius: 0,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          plugins: { legend: { labels: { color: colour('--ink'), usePointStyle: false } } },
          scales: { x: axis('hand, %'), y: axis('out, %') },
        }}
      />
    </div>
  );
}
