'use client';
import { Chart, type ChartOptions, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import '@/ui/kit/chart-look';

Chart.register(LinearScale, PointElement, LineElement, Tooltip);

const OPTIONS: ChartOptions<'scatter'> = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  scales: {
    x: { title: { display: true, text: 'search, oldest first' }, ticks: { precision: 0 } },
    y: { title: { display: true, text: 'first guess off, %' }, beginAtZero: true },
  },
};

/** How far each first guess lay from what was then proven, search by search. */
export function GuessChart({ offPct }: { offPct: readonly number[] }) {
  return (
    <div className="h-[240px]">
      <Scatter
        aria-label={`First guesses were off by ${offPct.map((p) => Math.round(p)).join(', ')} per cent, oldest first`}
        options={OPTIONS}
        data={{
          datasets: [
            {
              data: offPct.map((y, i) => ({ x: i + 1, y })),
              backgroundColor: '#2b3f70',
              borderColor: '#2b3f70',
              showLine: true,
              borderWidth: 1,
            },
          ],
        }}
      />
    </div>
  );
}
