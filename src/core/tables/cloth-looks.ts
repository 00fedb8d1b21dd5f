import { table } from './lookup';

export type Weave = 'plain' | 'dense' | 'brushed' | 'twill' | 'satin' | 'knit' | 'pile' | 'felted';
export type Shine = 'matt' | 'sheen' | 'shiny' | 'metal';

export const WEAVE_LABEL: Record<Weave, string> = {
  plain: 'plain: over one, under one',
  dense: 'plain and very tight',
  brushed: 'brushed, a soft nap',
  twill: 'twill: slanting lines',
  satin: 'satin: long smooth floats',
  knit: 'knitted loops',
  pile: 'pile: it has a depth of fibres',
  felted: 'felted, no threads to be seen',
};
export const SHINE_LABEL: Record<Shine, string> = {
  matt: 'matt',
  sheen: 'a sheen',
  shiny: 'shiny',
  metal: 'glitters like metal',
};
export const WEAVES = Object.keys(WEAVE_LABEL) as Weave[];
export const SHINES = Object.keys(SHINE_LABEL) as Shine[];

/** How a known kind of cloth looks and feels to someone who does not know its name. */
export interface ClothLook {
  id: string;
  weave: Weave;
  shine: Shine;
}

const look = (id: string, weave: Weave, shine: Shine = 'matt'): ClothLook => ({ id, weave, shine });

/** One row for every kind in the table of fabrics but the unknown. */
export const clothLooks = table<ClothLook>('Cloth', [
  look('quilting-cotton', 'plain'),
  look('batik', 'dense'),
  look('lawn-voile', 'plain'),
  look('linen', 'plain'),
  look('flannel', 'brushed'),
  look('denim', 'twill'),
  look('canvas', 'dense'),
  look('sateen-wide', 'satin', 'sheen'),
  look('satin', 'satin', 'shiny'),
  look('lame', 'plain', 'metal'),
  look('silk', 'plain', 'shiny'),
  look('jersey-knit', 'knit'),
  look('plush', 'pile', 'sheen'),
  look('fleece', 'pile'),
  look('wool-felted', 'felted'),
  look('velvet', 'pile', 'sheen'),
  look('polyester-woven', 'plain', 'sheen'),
]);
