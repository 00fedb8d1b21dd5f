import { table } from './lookup';

/** A way to begin and end a line. Minutes are for a start with its end (judgement). */
export interface EndWay {
  id: 'lock-tiny' | 'back-tack' | 'bury' | 'off-edge' | 'into-neighbour';
  label: string;
  /** What the hands do, as a card says it. */
  start: string;
  end: string;
  minutes: number;
}

export const ENDS = table<EndWay>('Way to begin and end', [
  {
    id: 'lock-tiny',
    label: 'tiny stitches',
    start: 'bobbin thread up, 5 tiny stitches',
    end: '5 tiny stitches, tails cut after 2 in',
    minutes: 0.5,
  },
  {
    id: 'back-tack',
    label: 'back and on again',
    start: '¼ in on, back, on',
    end: '¼ in back and on',
    minutes: 0.3,
  },
  {
    id: 'bury',
    label: 'buried',
    start: 'bobbin thread up, tails 4 in',
    end: 'knot the tails, bury 1 in between the layers',
    minutes: 1.5,
  },
  {
    id: 'off-edge',
    label: 'off the edge',
    start: '½ in past the trim line',
    end: '½ in past the trim line',
    minutes: 0,
  },
  {
    id: 'into-neighbour',
    label: 'into the neighbour',
    start: '½ in into what is filled later',
    end: '½ in into what is filled later, or over an earlier line',
    minutes: 0.3,
  },
]);
