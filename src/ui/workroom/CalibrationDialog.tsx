'use client';
import {
  CategoryScale,
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import '@/ui/kit/chart-look';
import { HeadRow } from '@/ui/kit/HeadRow';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { type Calibration, fitCalibration } from '@/core/calibration/monotone';
import { safety } from '@/core/cautions/cautions';
import { attempt } from '@/core/notes';
import type { Machine, StoredCalibration } from '@/data/types';
import type { CalibrationKind } from '@/core/fields/lists';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Modal } from '@/ui/kit/Modal';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { CALIBRATION } from './calibration-words';

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Tooltip);

interface Row {
  mark: string;
  value: string;
}
const BLANK: Row = { mark: '', value: '' };
const OPTIONS: ChartOptions<'scatter'> = { animation: false, responsive: true, maintainAspectRatio: false };

/** A calibration measured step by step, with its curve drawn as it grows. */
export function CalibrationDialog({
  machine,
  kind,
  stored,
  onClose,
}: {
  machine: Machine;
  kind: CalibrationKind;
  stored: StoredCalibration | undefined;
  onClose: () => void;
}) {
  const words = CALIBRATION[kind];
  const [rows, setRows] = useState<Row[]>(
    stored?.points.map((p) => ({ mark: String(p.mark), value: String(p.value / words.factor) })) ?? [
      BLANK,
      BLANK,
      BLANK,
    ],
  );
  const points = useMemo(
    () =>
      rows.flatMap((r) => {
        const [mark, value] = [numberOf(r.mark), numberOf(r.value)];
        return typeof mark === 'number' && typeof value === 'number'
          ? [{ mark, value: value * words.factor }]
          : [];
      }),
    [rows, words.factor],
  );
  const { fit, problem } = useMemo(() => tryFit(points), [points]);
  const { send, pending, problems } = useActionForm(doors.calibrate, () => {
    toast(`${words.title}: kept.`);
    onClose();
  });
  const set = (i: number, part: Partial<Row>) =>
    setRows((now) => now.map((r, k) => (k === i ? { ...r, ...part } : r)));
  const style = typeof document === 'undefined' ? null : getComputedStyle(document.documentElement);
  const colour = (name: string) => style?.getPropertyValue(name).trim() ?? '#000';
  return (
    <Modal open onOpenChange={(open) => !open && onClose()} title={words.title} about={machine.name} wide>
      <div className="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-[1fr_1.15fr]">
        <div>
          <ol className="list-decimal space-y-1 pl-5">
            {words.steps.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ol>
          <p className="mt-2">
            <CautionLine caution={safety('hands-near-needle', 'warn')} />
          </p>
          <table className="mt-3 w-full">
            <HeadRow names={[words.mark, words.value, 'Off the curve']} />
            <tbody>
              {rows.map((r, i) => {
                const at = rows.slice(0, i + 1).filter((x) => isPoint(x)).length - 1;
                const residual = fit && isPoint(r) ? fit.residuals[at] : undefined;
                return (
                  <tr key={i}>
                    {(['mark', 'value'] as const).map((k) => (
                      <td key={k} className="py-1 pr-2">
                        <input
                          aria-label={`${k === 'mark' ? words.mark : words.value}, measurement ${i + 1}`}
                          inputMode="decimal"
                          value={r[k]}
                          onChange={(e) => set(i, { [k]: e.target.value })}
                          className="min-h-11 w-full rounded border border-rule bg-cloth px-2 text-16"
                        />
                      </td>
                    ))}
                    <td className="pr-2 whitespace-nowrap">
                      {residual === undefined
                        ? ''
                        : `${residual > 0 ? '+' : residual < 0 ? '−' : ''}${Math.abs(residual).toFixed(1)}`}
                    </td>
                    <td>
                      <button
                        type="button"
                        aria-label={`Take measurement ${i + 1} out`}
                        onClick={() => setRows(rows.filter((_, k) => k !== i))}
                        className="grid size-11 place-items-center"
                      >
                        <Trash2 size={18} aria-hidden />
                      </button>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <Button look="quiet" onClick={() => setRows([...rows, BLANK])}>
            <Plus size={18} aria-hidden /> Another setting
          </Button>
        </div>
        <div>
          <div className="h-[300px]">
            <Scatter
              aria-label={`${words.title}: ${points.length} measurements${fit ? ' and the curve through them' : ''}`}
              role="img"
              options={{
                ...OPTIONS,
                scales: {
                  x: {
                    title: { display: true, text: words.mark, color: colour('--ink2') },
                    ticks: { color: colour('--ink2') },
                    grid: { color: colour('--hair') },
                  },
                  y: {
                    beginAtZero: true,
                    title: { display: true, text: words.unit, color: colour('--ink2') },
                    ticks: { color: colour('--ink2') },
                    grid: { color: colour('--hair') },
                  },
                },
              }}
              data={{
                datasets: [
                  {
                    label: 'measured',
                    data: points.map((p) => ({ x: p.mark, y: p.value })),
                    backgroundColor: colour('--verdigris'),
                    pointRadius: 6,
                  },
                  {
                    label: 'curve',
                    data: fit?.knots.map((k) => ({ x: k.mark, y: k.value })) ?? [],
                    showLine: true,
                    borderColor: colour('--walnut'),
                    borderDash: [8, 5],
                    borderWidth: 2,
                    pointRadius: 0,
                  },
                ],
              }}
            />
          </div>
          <p aria-live="polite" className={`mt-2 ${problem ? 'font-medium text-weld-text' : 'text-ink2'}`}>
            {problem ??
              `The curve misses the measurements by ${((fit?.rmsShare ?? 0) * 100).toFixed(1)} % on the whole.`}
          </p>
          <Problems problems={problems} />
          <Button
            look="act"
            className="mt-3 w-full"
            disabled={pending || !fit}
            onClick={() => send({ machineId: machine.id, kind, points })}
          >
            Keep this calibration
          </Button>
        </div>
      </div>
    </Modal>
  );
}

const isPoint = (r: Row) => typeof numberOf(r.mark) === 'number' && typeof numberOf(r.value) === 'number';

function tryFit(points: { mark: number; value: number }[]): {
  fit: Calibration | null;
  problem: string | null;
} {
  const fit = attempt(() => fitCalibration(points));
  return typeof fit === 'string' ? { fit: null, problem: fit } : { fit, problem: null };
}
