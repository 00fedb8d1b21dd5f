import { checkPhoto } from './check-photo';
import { CoreError } from '../notes';

/** The first bytes of a PNG that claims to be so large. */
function png(width: number, height: number): Uint8Array {
  const bytes = new Uint8Array(64);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  return bytes;
}

/** The least JPEG that names a size: start, frame header. */
function jpeg(width: number, height: number): Uint8Array {
  return new Uint8Array([
    0xff,
    0xd8,
    0xff,
    0xe0,
    0,
    16,
    0x4a,
    0x46,
    0x49,
    0x46,
    0,
    1,
    1,
    0,
    0,
    1,
    0,
    1,
    0,
    0,
    0xff,
    0xc0,
    0,
    17,
    8,
    height >> 8,
    height & 255,
    width >> 8,
    width & 255,
    3,
    1,
    0x22,
    0,
    2,
    0x11,
    1,
    3,
    0x11,
    1,
    0xff,
    0xd9,
    0,
    0,
    0,
    0,
  ]);
}

const codeOf = (bytes: Uint8Array) => {
  try {
    checkPhoto(bytes);
    return 'read';
  } catch (error) {
    return error instanceof CoreError ? error.code : String(error);
  }
};

test('sides are read from the first bytes', () => {
  expect(checkPhoto(png(4000, 3000))).toEqual({ width: 4000, height: 3000 });
  expect(checkPhoto(jpeg(5472, 3648))).toEqual({ width: 5472, height: 3648 });
});

test.each([
  ['20 megapixels', jpeg(5472, 3648), 'read'],
  ['a picture that claims 900 megapixels', png(30_000, 30_000), 'picture-too-large'],
  ['a picture longer than any browser draws', png(60_000, 20), 'picture-too-large'],
  ['a single dot', png(1, 1), 'picture-too-small'],
  ['text', new TextEncoder().encode('Odile Marsh, 64 by 80, harbour blues'), 'not-a-picture'],
  ['nothing', new Uint8Array(0), 'not-a-picture'],
  [
    'a drawing',
    new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
    'not-a-picture',
  ],
  ['a cut-off PNG', png(400, 300).slice(0, 12), 'not-a-picture'],
  ['random bytes', new Uint8Array(500).map((_, i) => (i * 97) % 251), 'not-a-picture'],
])('%s: %s', (_, bytes, code) => {
  expect(codeOf(bytes)).toBe(code);
});

test('a file heavier than any photograph is refused, whatever it says', () => {
  const heavy = new Uint8Array(41_000_000);
  heavy.set(png(400, 300));
  expect(codeOf(heavy)).toBe('picture-too-large');
});
