/** A main place of the app. */
export interface Place {
  href: string;
  label: string;
  /** The first of its pages, where it has several: led to at once, without a turn. */
  first?: string;
  /** Not in the bar of a phone, which has no room for all; Find leads to it. */
  wide?: boolean;
}

export const PLACES: readonly Place[] = [
  { href: '/', label: 'Rack' },
  { href: '/calendar', label: 'Calendar', wide: true },
  { href: '/set-up', label: 'Set-up' },
  { href: '/shelf', label: 'Thread shelf' },
  { href: '/workroom', label: 'Workroom', first: '/workroom/machine' },
  { href: '/faults', label: 'Fault book' },
  { href: '/practice', label: 'Practice', wide: true },
];
