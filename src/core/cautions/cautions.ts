import type { Caution, Severity } from '../notes';

/** The safety cautions, by stable code. The machine's own manual, local rules and a qualified technician come first. */
const TEXT = {
  'hands-near-needle':
    'Keep both hands outside the foot; while it idles, the needle moves although the carriage rests. Stop the machine before fingers, scissors or tweezers go near it.',
  'power-off-service':
    'Switch off and wait for the needle to stand still. Covers, fuses, wiring and motor belong to a qualified technician and local electrical rules; a fuse is replaced by its own rating only.',
  'needle-break-eyes':
    'A needle that breaks throws its tip: wear eye protection, find every piece, slow down over bulk or turn the handwheel.',
  'ruler-thickness':
    'Ruler at least as thick as the machine’s ruler foot asks (commonly 6 mm), tall-rim foot on, base plate fitted; a thin ruler slips under the foot and breaks needle and hook.',
  'stop-before-lift': 'Stop, needle up, thread cut, before lifting the foot into or out of a ruler.',
  'posture-break':
    'Shoulders down, look up, change hands, step away a few minutes; raise the frame rather than bending the neck.',
  reach: 'Roll rather than lean across the throat.',
  'fumes-fibres':
    'Ventilate; keep sprays off the machine and from flames; brush or vacuum lint out, never blow it in.',
  'heat-marking': 'Marks may come back in the cold; test on a scrap.',
  'monofilament-child':
    'Stiff loose ends can cut or be swallowed; choose a spun or filament thread for a child’s quilt.',
  'monofilament-iron': 'Nylon monofilament softens under a hot iron.',
  'small-parts-child': 'Parts that come loose can be swallowed.',
  pinch: 'Fingers clear of rollers and ratchets; two people for a heavy roller.',
  'beam-eyes': 'Never look into the beam, and keep it out of the eyes of whoever stands opposite.',
  'hot-iron': 'A hot iron melts vinyl, film and nylon thread: test a corner, press through a pressing sheet.',
  'blade-away': 'Close the guard after every cut, and cut away from yourself.',
  'thread-cuts': 'Fine strong thread cuts fingers: wind it on something before you pull.',
  'mains-near-liquid': 'Keep liquids off the head and its supply.',
} as const;

export type SafetyCode = keyof typeof TEXT;

/** A safety caution by code, at the severity the step calls for. */
export const safety = (code: SafetyCode, severity: Severity = 'warn'): Caution => ({
  code,
  text: TEXT[code],
  severity,
});
