import { key } from './answers';

/** A line of thread in one colour, as the shelf’s dialog sends it; any part may be put in its place. */
export const aLine = (rest: object = {}) => ({
  key: key(),
  line: 'Skerry Poly',
  fibre: 'polyester-filament',
  label: 'Tex 27',
  role: 'both',
  place: '',
  notes: '',
  colours: [{ colour: 'Kelp', hex: '#335544' }],
  ...rest,
});
