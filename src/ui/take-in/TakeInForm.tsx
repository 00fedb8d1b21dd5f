'use client';
import { useRouter } from 'next/navigation';
import { takeInAction } from '@/app/server-actions';
import { PLAN_LABEL } from '@/core/plan/plan-kinds';
import type { Machine, StudioBatting, StudioFabric } from '@/data/types';
import { type FieldSpec, RecordForm } from '@/ui/kit/RecordDialog';
import { PlanSketch } from './PlanSketch';

const USE_LABEL = {
  bed: 'a bed',
  baby: 'a baby',
  wall: 'a wall',
  show: 'a show',
  garment: 'a garment',
  other: 'something else',
};
const WISH_LABEL = { sink: 'sink in', texture: 'be texture', show: 'show' };
const options = (labels: Readonly<Record<string, string>>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));
const named = (rows: readonly { id: string; name: string }[]) =>
  rows.map((r) => ({ value: r.id, label: r.name }));

/** A bundle on the counter becomes a quilt with a map. */
export function TakeInForm(props: {
  fabrics: StudioFabric[];
  battings: StudioBatting[];
  machines: Machine[];
  clients: string[];
  usualDue: string;
}) {
  const router = useRouter();
  const idOf = (rows: readonly { id: string; kind: string }[], kind: string) =>
    rows.find((r) => r.kind === kind)?.id;
  const specs: readonly FieldSpec[] = [
    { name: 'client', label: 'Client', kind: 'text', suggest: props.clients },
    { name: 'name', label: 'The quilt’s name', kind: 'text' },
    { name: 'use', label: 'It is for', kind: 'choice', options: options(USE_LABEL) },
    { name: 'dueOn', label: 'Promised for', kind: 'date' },
    { name: 'widthIn', label: 'Width', kind: 'number', hint: 'in' },
    { name: 'lengthIn', label: 'Length', kind: 'number', hint: 'in' },
    { name: 'battingId', label: 'Batting', kind: 'choice', options: named(props.battings) },
    { name: 'backingId', label: 'Backing', kind: 'choice', options: named(props.fabrics) },
    { name: 'fabricId', label: 'Mostly made of', kind: 'choice', options: named(props.fabrics) },
    { name: 'hex', label: 'Its main colour', kind: 'hex' },
    { name: 'visibility', label: 'The stitching should', kind: 'choice', options: options(WISH_LABEL) },
    { name: 'machineId', label: 'Machine', kind: 'choice', options: named(props.machines) },
    { name: 'plan', label: 'Laid out as', kind: 'choice', options: options(PLAN_LABEL), wide: true },
    { name: 'borderIn', label: 'Border', kind: 'number', hint: 'in', when: (v) => v.plan !== 'whole' },
    { name: 'sashIn', label: 'Sashing', kind: 'number', hint: 'in', when: (v) => v.plan === 'blocks' },
    { name: 'columns', label: 'Blocks across', kind: 'number', when: (v) => v.plan === 'blocks' },
    { name: 'rows', label: 'Blocks down', kind: 'number', when: (v) => v.plan === 'blocks' },
  ];
  return (
    <div className="mx-auto max-w-[760px] px-6 pt-4 pb-10">
      <h1 className="text-24">Take in a quilt</h1>
      <p className="mt-1 text-ink2">
        What is not known yet can be changed later; unknown cloth and batting are treated cautiously.
      </p>
      <RecordForm
        specs={specs}
        initial={{
          use: 'bed',
          dueOn: props.usualDue,
          battingId: idOf(props.battings, 'unknown'),
          backingId: idOf(props.fabrics, 'quilting-cotton'),
          fabricId: idOf(props.fabrics, 'quilting-cotton'),
          hex: '#9db3b8',
          visibility: 'texture',
          machineId: props.machines[0]!.id,
          plan: 'bordered',
          borderIn: 6,
          sashIn: 2,
          columns: 3,
          rows: 4,
        }}
        act={takeInAction}
        onDone={({ id }) => router.push(`/quilts/${id}/match`)}
        submit="Take it in and match its zones"
        aside={(v) => <PlanSketch values={v} />}
      />
    </div>
  );
}
