import { PARTS } from '@/ui/workroom/parts';

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
  { label: 'Words of the trade', also: 'glossary terms meaning spi tex loft', href: '/glossary' },
  { label: 'Studio record', also: 'handed back home past quilts hours promise', href: '/record' },
  { label: 'Practice', also: 'drill drills exercise hands wave pebbles', href: '/practice' },
  { label: 'Take in a quilt', also: 'new intake client', href: '/take-in' },
  ...PARTS.map(({ part, label, found = label, also }) => ({ label: found, also, href: `/workroom/${part}` })),
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
