import type { Field } from '@/core/fields/field';
import { WISH_LABEL } from '@/core/fields/lists';
import { AGREED, CLIENT, QUILT } from '@/core/fields/quilt';
import { PLAN_LABEL } from '@/core/plan/plan-kinds';
import { features } from '@/core/tables/features';
import type { Machine, StudioBatting } from '@/data/types';
import type { FieldSpec } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';

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
  currency: string;
  intake: { data: Record<string, unknown> };
}): readonly TalkPage[] {
  const like = (p.intake.data.record as Record<string, string> | undefined)?.likeName;
  const blocks = (v: Record<string, unknown>) => v.plan === 'blocks';
  const of = {
    pick: { battingId: named(p.battings), backingId: named(p.fabrics) },
    currency: p.currency,
  };
  const some = (fields: readonly Field[], ...ids: string[]) =>
    formFields(
      ids.map((id) => fields.find((f) => f.id === id)!),
      of,
    );
  const pages: { title: string; ask: string; specs: FieldSpec[]; also?: string[] }[] = [
    {
      title: 'Whose, and what for',
      ask: 'Who brings it, what will it be used for, and how should the quilting look?',
      specs: [
        { name: 'client', label: 'Client, new or known', kind: 'text', suggest: p.clients },
        ...some(QUILT, 'name', 'use'),
        { name: 'visibility', label: 'The quilting should', kind: 'choice', options: options(WISH_LABEL) },
        ...formFields(CLIENT),
        ...some(QUILT, 'care', 'wishes'),
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
      ask: 'Every fabric seen in the top, whatever needs care, and what is wrong with it already.',
      specs: [
        {
          name: 'features',
          label: 'Seen in it',
          kind: 'checks',
          options: features.rows.map((f) => ({ value: f.id, label: f.label })),
        },
        ...some(QUILT, 'bleedGrade', 'watch'),
      ],
      also: ['fabrics', 'conditions'],
    },
    {
      title: 'Backing and batting',
      ask: 'What was brought, or what is to be bought.',
      specs: some(QUILT, 'battingId', 'backingId', 'backingClothIn', 'prewash'),
    },
    {
      title: 'Layout and day',
      ask: 'A first layout of the zones (the map can be drawn finer afterwards), and the day it is promised for.',
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
          kind: 'inches',
          hint: '6 in or 15 cm',
          when: (v) => !['whole', 'strips', 'like'].includes(String(v.plan)),
        },
        { name: 'sashIn', label: 'Sashing', kind: 'inches', hint: '2 in or 5 cm', when: blocks },
        {
          name: 'columns',
          label: 'Blocks or rings across',
          kind: 'number',
          when: (v) => blocks(v) || v.plan === 'medallion' || v.plan === 'strips',
        },
        { name: 'rows', label: 'Blocks down', kind: 'number', when: blocks },
        ...some(QUILT, 'dueOn'),
        ...some(AGREED, 'depositMinor', 'depositOn', 'delivery'),
      ],
    },
  ];
  return pages.map((x) => ({ ...x, paths: [...x.specs.map((s) => s.name), ...(x.also ?? [])] }));
}
