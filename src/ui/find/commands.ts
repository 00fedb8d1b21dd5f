/** Places and acts that Find offers beside what is stored. */
export const COMMANDS: readonly { label: string; also: string; href: string }[] = [
  { label: 'Rack', also: 'home quilts week due', href: '/' },
  { label: 'Today', also: 'day list load sew wind write table timer clock', href: '/today' },
  { label: 'Calendar', also: 'frame promise dates due ical', href: '/calendar' },
  { label: 'Thread shelf', also: 'cones spools', href: '/shelf' },
  {
    label: 'Shopping and winding list',
    also: 'buy order list low lacking',
    href: '/shopping',
  },
  { label: 'Begin your studio', also: 'start demo empty machine threads first', href: '/begin' },
  { label: 'Quick set-up', also: 'needle tension stitches shop thread will this do', href: '/set-up' },
  { label: 'Fault book', also: 'faults rates causes breaks skipped bearding birdnest', href: '/faults' },
  {
    label: 'What this studio has learned',
    also: 'learned speed hours tension offsets',
    href: '/workroom/learned',
  },
  {
    label: 'Your hand',
    also: 'speed steady level rest posture elbow height reach habits',
    href: '/workroom/hand',
  },
  { label: 'Words of the trade', also: 'glossary terms meaning spi tex loft', href: '/glossary' },
  { label: 'Studio record', also: 'handed back home past quilts hours promise', href: '/record' },
  { label: 'Take in a quilt', also: 'new intake client', href: '/take-in' },
  {
    label: 'Machines and calibrations',
    also: 'frame throat dial speed tension bobbin feet settings',
    href: '/workroom/machine',
  },
  {
    label: 'Machine care',
    also: 'oil lint clean service technician timing belts due',
    href: '/workroom/care',
  },
  { label: 'Needles', also: 'stock change needle life', href: '/workroom/needles' },
  { label: 'Bobbins', also: 'wind winding prewound', href: '/workroom/bobbins' },
  { label: 'Fabric and batting', also: 'fabric loft rating', href: '/workroom/cloth' },
  { label: 'Yarn', also: 'couching wool skein', href: '/workroom/yarn' },
  { label: 'Rulers', also: 'template thickness', href: '/workroom/rulers' },
  {
    label: 'How we work',
    also: 'preferences settings schools units inch metric evenness stitch length',
    href: '/workroom/preferences',
  },
  {
    label: 'People and devices',
    also: 'invite sign in passphrase tablet phone pair session owner hand guest',
    href: '/workroom/people',
  },
  { label: 'Files in and out', also: 'import export csv json backup', href: '/workroom/files' },
];

const OF_A_QUILT: readonly (readonly [label: string, also: string, path: string])[] = [
  ['This quilt: intake', 'client size batting correct withdraw condition', 'take-in'],
  ['This quilt: letters', 'e-mail approve ready client', 'letters'],
  ['This quilt: backing and binding', 'yards strips cut batting', 'prepare'],
  ['This quilt: map', 'zones draw', 'map'],
  ['This quilt: plan', 'passes order hours thread', 'quilt'],
  ['This quilt: Stand', 'machine log sew', 'stand'],
  ['Loading sheet', 'print sheet frame', 'sheets/loading'],
  ['Order of work', 'print sheet steps', 'sheets/order'],
  ['Setting cards', 'print sheet needle tension', 'sheets/cards'],
  ['Test strip', 'print sheet stitches', 'sheets/strip'],
  ['Client’s sheet', 'print sheet washing', 'sheets/client'],
];

/** Pages and sheets of the quilt that is open. */
export const quiltCommands = (id: string) =>
  OF_A_QUILT.map(([label, also, path]) => ({ label, also, href: `/quilts/${id}/${path}` }));
