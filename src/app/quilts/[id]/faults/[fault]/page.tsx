import { ask } from '@/actions/queries';
import { isUUID } from 'class-validator';
import { notFound } from 'next/navigation';
import { causes, checks, contextFacts, setupFacts } from '@/core/faults/knowledge';
import { signs } from '@/core/tables/symptoms';
import { FaultBench } from '@/ui/fault-bench/FaultBench';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage } from '../../quilt-page';

export const metadata = { title: 'Fault bench' };
const SHOWN_CAUSES = 8;

export default async function FaultBenchPage(props: {
  params: Promise<{ id: string; fault: string }>;
  searchParams: Promise<{ zone?: string }>;
}) {
  const { fault: faultId } = await props.params;
  const { view, machine, zone } = await readQuiltPage(props);
  const bench = isUUID(faultId) ? await ask.readFaultBench(view, faultId) : null;
  if (!bench) notFound();
  const { diagnosis, evidence, fault, setup } = bench;
  const step = view.quilt.step === 'hand-back' ? 'hand-back' : 'quilt';
  return (
    <QuiltFrame view={view} machine={machine} step={step} zoneId={fault.zoneId ?? zone?.id} page="quilt">
      <FaultBench
        key={`${fault.id} ${evidence.version}`}
        fault={fault}
        evidence={evidence}
        resolved={diagnosis.resolved}
        found={diagnosis.causes
          .slice(0, SHOWN_CAUSES)
          .map(({ id, label, p, remedy, confirm, stopWork, technician, reasons, episodes }) => ({
            id,
            label,
            p,
            remedy: [...remedy],
            confirm,
            stopWork,
            technician,
            reasons: reasons.map((r) => ({ why: r.why, multiply: r.multiply })),
            episodes,
          }))}
        next={diagnosis.next?.check ?? null}
        checks={checks.rows.map(({ id, label, minutes, tools, steps, outcomes, safety }) => ({
          id,
          label,
          minutes,
          tools: [...tools],
          steps: [...steps],
          outcomes: outcomes.map((o) => ({ id: o.id, label: o.label })),
          safety,
        }))}
        signs={signs.rows.map(({ id, label }) => ({ id, label }))}
        questions={contextFacts.rows.map(({ id, label, values, valueLabels }) => ({
          id,
          label,
          answers: values.map((v) => ({ id: v, label: valueLabels[v] ?? v })),
        }))}
        causes={causes.rows.map(({ id, label }) => ({ id, label }))}
        setup={Object.entries(setup).flatMap(([id, v]) => {
          const label = setupFacts.find(id)?.label;
          const value = Array.isArray(v)
            ? v.join(', ')
            : typeof v === 'number'
              ? String(Number(v.toFixed(2)))
              : String(v);
          return label && value !== '' ? [{ label, value }] : [];
        })}
        remedies={bench.remedies}
        episodes={bench.episodes}
      />
    </QuiltFrame>
  );
}
