import fc from 'fast-check';
import { pack, unpack } from './pack';

test('what is packed comes out as it went in, marks and quotes and all', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.string({ unit: 'binary' }), (value, text) => {
      const rows = [value, text, `a ${'\ue000'} mark, a "quote", a \\ stroke`];
      expect(unpack(pack(rows))).toEqual(JSON.parse(JSON.stringify(rows)));
      expect(pack(rows)).not.toContain('"');
    }),
  );
});
