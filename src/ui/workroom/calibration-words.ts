import type { CalibrationKind } from '@/core/fields/lists';

/** Each calibration: what is turned, what is measured, and how it is done. */
export const CALIBRATION: Record<
  CalibrationKind,
  {
    title: string;
    mark: string;
    value: string;
    unit: string;
    steps: readonly string[];
    without: string;
    /** What is typed to what is stored: holes in ten seconds are a sixth of a minute. */
    factor: number;
  }
> = {
  'speed-dial': {
    title: 'Speed dial to stitches a minute',
    mark: 'Dial',
    value: 'Holes in 10 s',
    unit: 'a minute',
    factor: 6,
    steps: [
      'Put paper under the foot, no thread, manual mode.',
      'Set the dial, sew for ten seconds moving slowly, and stop.',
      'Count the holes. Do it at two or more settings, low and high.',
    ],
    without: 'a bare number on the dial cannot be told in stitches',
  },
  'idle-dial': {
    title: 'Idle setting to stitches a minute',
    mark: 'Idle setting',
    value: 'Holes in 10 s',
    unit: 'a minute',
    factor: 6,
    steps: [
      'Put paper under the foot, no thread, the regulator set to keep sewing when you pause, and lock the carriage.',
      'Set the idle, let the needle turn for ten seconds, and stop. Keep your hands outside the foot.',
      'Count the strokes (the paper may be drawn on slowly by hand). Do it at two or more settings.',
    ],
    without: 'a bare idle number cannot be told in stitches',
  },
  'top-dial': {
    title: 'Top tension dial to grams',
    mark: 'Mark or quarter turns',
    value: 'Gauge, g',
    unit: 'g',
    factor: 1,
    steps: [
      'Thread the top as for sewing, presser foot down, needle not threaded.',
      'Hook the gauge to the thread and draw it slowly and evenly; read it while it moves.',
      'Do it at three or more marks across the range you use.',
    ],
    without: 'a quarter turn counts as 12 %',
  },
  'bobbin-turns': {
    title: 'Bobbin screw to grams',
    mark: 'Turns from fully in, or drop word',
    value: 'Gauge, g',
    unit: 'g',
    factor: 1,
    steps: [
      'Take the bobbin case out; count turns of its screw outwards from a gentle stop as numbers below 0.',
      'No gauge: hold the thread and drop the case a hand’s width. Falls freely is about 14, slides and stops about 20, hardly moves about 28.',
      'Do it at two or more settings.',
    ],
    without: 'the gauge, or the drop test, is read each time',
  },
};
