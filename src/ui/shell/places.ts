/** A main place of the app. */
export interface Place {
  href: string;
  label: string;
}

export const PLACES: readonly Place[] = [
  { href: '/', label: 'Rack' },
  { href: '/calendar', label: 'Calendar' },
  { href: '/shelf', label: 'Thread shelf' },
  { href: '/workroom', label: 'Workroom' },
  { href: '/faults', label: 'Fault book' },
];
