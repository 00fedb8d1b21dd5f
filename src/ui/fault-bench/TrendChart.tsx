'use client';
import {
  Chart,
  type ChartOptions,
  Filler,
  CategoryScale,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import '@/ui/kit/chart-look';

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale, Filler);

const INK = '#545A58';
const OPTIONS: ChartOptions<'line'> = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  scales: {
    x: { ticks: { color: INK, maxTicksLimit: 8 } },
    y: { beginAtZero: true, ticks: { color: INK, precision: 0 } },
  },
};

/** Faults in 100 000 stitches by month, with their range. */
export function TrendChart({
  months,
}: {
  months: readonly { month: string; per100k: number; low: number; high: number }[];
}) {
  const last = months.at(-1)!;
  const line = (data: number[], more: object) => ({ data, pointRadius: 0, borderWidth: 0, ...more });
  return (
    <div className="h-[170px] w-full">
      <Line
        aria-label={`Faults in 100 000 stitches by month; ${last.month}: ${last.per100k.toFixed(1)}, between ${last.low.toFixed(1)} and ${last.high.toFixed(1)}`}
        options={OPTIONS}
        data={{
          labels: months.map((m) => m.month),
          datasets: [
            line(
              months.map((m) => m.high),
              {},
            ),
            line(
              months.map((m) => m.low),
              { fill: '-1', backgroundColor: 'rgba(46,66,114,0.16)' },
            ),
            line(
              months.map((m) => m.per100k),
              { borderColor: '#2E4272', borderWidth: 2.5, pointRadius: 3, backgroundColor: '#2E4272' },
            ),
          ],
        }}
      />
    </div>
  );
}
