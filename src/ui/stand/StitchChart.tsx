'use client';
import { BarController, BarElement, CategoryScale, Chart, type ChartOptions, LinearScale } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import { BIN_MM } from '@/core/link/summary';
import '@/ui/kit/chart-look';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const LIGHT = '#bdb9ae';
const OPTIONS: ChartOptions<'bar'> = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  scales: {
    x: { title: { display: true, text: 'stitch length, mm', color: LIGHT }, ticks: { color: LIGHT } },
    y: {
      beginAtZero: true,
      title: { display: true, text: 'stitches', color: LIGHT },
      ticks: { color: LIGHT, precision: 0 },
    },
  },
};

/** How long the stitches came out. */
export function StitchChart({ histogram }: { histogram: readonly number[] }) {
  const last = Math.max(12, histogram.findLastIndex((n) => n > 0) + 2);
  const shown = histogram.slice(0, last);
  const all = shown.reduce((a, b) => a + b, 0);
  const most = shown.indexOf(Math.max(...shown));
  return (
    <div className="h-[200px] w-[460px] max-w-full">
      <Bar
        aria-label={
          all === 0
            ? 'No stitch yet'
            : `Stitch lengths: most lie about ${((most + 0.5) * BIN_MM).toFixed(1)} mm, of ${all} stitches`
        }
        options={OPTIONS}
        data={{
          labels: shown.map((_, i) => ((i + 0.5) * BIN_MM).toFixed(1)),
          datasets: [{ data: [...shown], backgroundColor: '#74cbb6' }],
        }}
      />
    </div>
  );
}
