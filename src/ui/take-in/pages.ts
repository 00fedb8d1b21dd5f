import { USE_LABEL, WISH_LABEL } from '@/core/fields/lists';
import { PLAN_LABEL } from '@/core/plan/plan-kinds';
import { features } from '@/core/tables/features';
import type { Machine, StudioBatting } from '@/data/types';
import type { FieldSpec } from '@/ui/kit/field-spec';

const options = (labels: Readonly<Record<string, string>>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));
const named = (rows: readonly { id: string; name: string }[]) =>
  rows.map((r) => ({ value: r.id, label: r.name }));

export interface TalkPage {
  title: string;
  ask: string;
  specs: readonly FieldSpec[];
  /** Fields of the taken-in quilt that are asked for on this page, for showing problems where they belong. */
  paths: readonly string[];
}

/** The five pages of the talk at the counter. */
export function talkPages(p: {
  clients: string[];
  fabrics: { id: string; name: string }[];
  battings: StudioBatting[];
  machines: Machine[];
  intake: { data: Record<string, unknown> };
}): readonly TalkPage[] {
  const like = (p.intake.data.record as Record<string, string> | undefined)?.likeName;
  const blocks = (v: Record<string, unknown>) => v.plan === 'blocks';
  const pages: { title: string; ask: string; specs: FieldSpec[]; also?: string[] }[] = [
    {
      title: 'Whose, and what for',
      ask: 'Who brings it, what will it be used for, and how should the stitching look?',
      specs: [
        { name: 'client', label: 'Client, new or known', kind: 'text', suggest: p.clients },
        { name: 'name', label: 'The quilt’s name', kind: 'text' },
        { name: 'use', label: 'For', kind: 'choice', options: options(USE_LABEL) },
        { name: 'dueOn', label: 'Promised for', kind: 'date' },
        { name: 'visibility', label: 'The quilting should', kind: 'choice', options: options(WISH_LABEL) },
        { name: 'care', label: 'Washing and ironing to come', kind: 'text', hint: 'as the client says' },
        { name: 'wishes', label: 'Wishes', kind: 'long' },
      ],
    },
    {
      title: 'How large',
      ask: 'Measure three widths and three lengths: at both edges and in the middle.',
      specs: [],
      also: ['widthsIn', 'lengthsIn'],
    },
    {
      title: 'What it is made of',
      ask: 'Every fabric seen in the top, and whatever needs care.',
      specs: [
        {
          name: 'features',
          label: 'Seen in it',
          kind: 'checks',
          options: features.rows.map((f) => ({ value: f.id, label: f.label })),
        },
        { name: 'watch', label: 'What to watch', kind: 'long', hint: 'pockets, prints, seams, stains' },
      ],
      also: ['fabrics'],
    },
    {
      title: 'Backing and batting',
      ask: 'What was brought, or what is to be bought.',
      specs: [
        { name: 'battingId', label: 'Batting', kind: 'choice', options: named(p.battings) },
        { name: 'backingId', label: 'Backing', kind: 'choice', options: named(p.fabrics) },
        {
          name: 'backingClothIn',
          label: 'Width of the backing fabric',
          kind: 'number',
          hint: 'in; empty: to be bought',
        },
        { name: 'prewash', label: 'Prewashed, or to be', kind: 'yes' },
      ],
    },
    {
      title: 'How it is laid out',
      ask: 'A first plan of the zones; the map can be drawn finer afterwards.',
      specs: [
        { name: 'machineId', label: 'Machine', kind: 'choice', options: named(p.machines) },
        {
          name: 'plan',
          label: 'Laid out as',
          kind: 'choice',
          options: [
            ...(like ? [{ value: 'like', label: `like ${like}, with its techniques and cards` }] : []),
            ...options(PLAN_LABEL),
          ],
        },
        {
          name: 'borderIn',
          label: 'Border',
          kind: 'number',
          hint: 'in',
          when: (v) => !['whole', 'strips', 'like'].includes(String(v.plan)),
        },
        { name: 'sashIn', label: 'Sashing', kind: 'number', hint: 'in', when: blocks },
        {
          name: 'columns',
          label: 'Blocks or rings across',
          kind: 'number',
          when: (v) => blocks(v) || v.plan === 'medallion' || v.plan === 'strips',
        },
        { name: 'rows', label: 'Blocks down', kind: 'number', when: blocks },
      ],
    },
  ];
  return pages.map((x) => ({ ...x, paths: [...x.specs.map((s) => s.name), ...(x.also ?? [])] }));
}
