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
