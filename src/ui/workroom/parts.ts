/** A page of the Workroom: its place, its name, and other words it is found by. */
export interface Part {
  part: string;
  label: string;
  /** What Find calls it, where its own row says less. */
  found?: string;
  also: string;
}

/** The pages of the Workroom, as its own row and Find list them. */
export const PARTS: readonly Part[] = [
  {
    part: 'machine',
    label: 'Machines',
    found: 'Machines and calibrations',
    also: 'frame throat dial speed tension bobbin feet settings',
  },
  {
    part: 'care',
    label: 'Care',
    found: 'Machine care',
    also: 'oil lint clean service technician timing belts due',
  },
  { part: 'needles', label: 'Needles', also: 'stock change needle life' },
  { part: 'bobbins', label: 'Bobbins', also: 'wind winding prewound' },
  { part: 'cloth', label: 'Fabric and batting', also: 'fabric loft rating' },
  { part: 'yarn', label: 'Yarn', also: 'couching wool skein' },
  { part: 'rulers', label: 'Rulers', also: 'template thickness' },
  { part: 'patterns', label: 'Patterns', also: 'drawing svg dxf repeat library' },
  {
    part: 'preferences',
    label: 'How we work',
    also: 'preferences settings schools units inch metric evenness stitch length',
  },
  { part: 'rates', label: 'Rates', also: 'price money hour area tax rush' },
  {
    part: 'learned',
    label: 'Learned',
    found: 'What this studio has learned',
    also: 'learned speed hours tension offsets',
  },
  { part: 'hand', label: 'Your hand', also: 'speed steady level rest posture elbow height reach habits' },
  {
    part: 'people',
    label: 'People and devices',
    also: 'invite sign in passphrase tablet phone pair session owner hand guest',
  },
  { part: 'files', label: 'Files in and out', also: 'import export csv json backup' },
];
