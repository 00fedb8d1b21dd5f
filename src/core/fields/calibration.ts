import type { Field, KeptOf } from './field';
import { CALIBRATION_KINDS } from './lists';

/** One measuring of a dial, a screw or a knob: where it stood, and what came of it. */
export const CALIBRATION_POINT = [
  { id: 'mark', label: 'Mark', noun: 'The mark', kind: 'number', range: [-1000, 100_000] },
  { id: 'value', label: 'Value', noun: 'What was measured', kind: 'number', range: [0, 100_000] },
] as const satisfies readonly Field[];
export type CalibrationPoint = KeptOf<typeof CALIBRATION_POINT>;

/** What is measured on a machine. */
export const CALIBRATION = [
  {
    id: 'kind',
    label: 'What is measured',
    kind: 'choice',
    choices: CALIBRATION_KINDS.map((value) => ({ value, label: value })),
    ask: 'Say what is calibrated.',
  },
] as const satisfies readonly Field[];
export type CalibrationFields = KeptOf<typeof CALIBRATION>;
