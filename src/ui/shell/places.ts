/** A main place of the app. */
export interface Place {
  href: string;
  label: string;
  /** The first of its pages, where it has several: led to at once, without a turn. */
  first?: string;
}

export const PLACES: readonly Place[] = [
  { href: '/', label: 'Rack' },
  { href: '/calendar', label: 'Calendar' },
  { href: '/set-up', label: 'Quick set-up' },
  { href: '/shelf', label: 'Thread shelf' },
  { href: '/workroom', label: 'Workroom', first: '/workroom/machine' },
  { href: '/faults', label: 'Fault book' },
];
