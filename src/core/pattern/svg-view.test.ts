import svgpath from 'svgpath';
import { hiddenBy } from './svg-hidden';
import { viewTransform } from './svg-view';

/** Where a point of the view comes to lie. */
const lies = (a: Record<string, string>, x: number, y: number): [number, number] => {
  let at: [number, number] = [0, 0];
  svgpath(`M${x} ${y}`)
    .transform(viewTransform(a))
    .iterate(([, px, py]) => {
      at = [Number(px!.toFixed(6)), Number(py!.toFixed(6))];
    });
  return at;
};

describe('a view within a view', () => {
  test('without a view box it is only moved', () => {
    expect(lies({ x: '3', y: '4' }, 1, 1)).toEqual([4, 5]);
    expect(lies({}, 1, 1)).toEqual([1, 1]);
  });
  test('what it shows is scaled to fit, and stands in its middle', () => {
    const a = { width: '20', height: '40', viewBox: '0 0 10 10' };
    expect(lies(a, 0, 0)).toEqual([0, 10]);
    expect(lies(a, 10, 10)).toEqual([20, 30]);
  });
  test.each([
    ['xMinYMin', 0],
    ['xMidYMid', 10],
    ['xMaxYMax', 20],
  ])('%s: it stands where that says', (preserveAspectRatio, y) => {
    expect(lies({ width: '20', height: '40', viewBox: '0 0 10 10', preserveAspectRatio }, 0, 0)).toEqual([
      0,
      y,
    ]);
  });
  test('cut to cover, or stretched, where it says so', () => {
    const a = { width: '20', height: '40', viewBox: '0 0 10 10' };
    expect(lies({ ...a, preserveAspectRatio: 'xMinYMin slice' }, 10, 10)).toEqual([40, 40]);
    expect(lies({ ...a, preserveAspectRatio: 'none' }, 10, 10)).toEqual([20, 40]);
  });
  test('a view box that begins elsewhere is brought to the place', () => {
    expect(lies({ x: '1', y: '1', width: '10', height: '10', viewBox: '5,5,10,10' }, 5, 5)).toEqual([1, 1]);
  });
  test('shares of something not known, and view boxes without a size, are left as they are', () => {
    expect(lies({ width: '50%', height: '50%', viewBox: '0 0 10 10' }, 10, 10)).toEqual([10, 10]);
    expect(lies({ width: '20', height: '20', viewBox: '0 0 0 10' }, 1, 1)).toEqual([1, 1]);
  });
});

describe('what is hidden', () => {
  const none = hiddenBy('');
  test.each([
    [{ display: 'none' }, 'gone'],
    [{ style: 'fill:none;display:none' }, 'gone'],
    [{ visibility: 'hidden' }, 'unseen'],
    [{ style: 'visibility: collapse' }, 'unseen'],
    [{ visibility: 'visible' }, 'seen'],
    [{ style: 'stroke:#000' }, undefined],
  ])('%j is %s', (attributes, sight) => {
    expect(none('path', attributes as Record<string, string>)).toBe(sight);
  });
  test('rules for a class, an id, a name and a name with a class; the last that fits counts', () => {
    const hidden = hiddenBy(
      '.a{display:none} #b,text{visibility:hidden} path.c{display:none} .a.d{} .e{visibility:hidden}.e{visibility:visible}',
    );
    expect(hidden('path', { class: 'x a' })).toBe('gone');
    expect(hidden('path', { id: 'b' })).toBe('unseen');
    expect(hidden('text', {})).toBe('unseen');
    expect(hidden('path', { class: 'c' })).toBe('gone');
    expect(hidden('line', { class: 'c' })).toBeUndefined();
    expect(hidden('path', { class: 'e' })).toBe('seen');
    expect(hidden('path', { class: 'ab' })).toBeUndefined();
  });
  test('the element’s own style counts before the sheet, the sheet before an attribute', () => {
    const hidden = hiddenBy('.a{display:none}');
    expect(hidden('path', { class: 'a', style: 'visibility:visible' })).toBe('seen');
    expect(hidden('path', { class: 'a', visibility: 'visible' })).toBe('gone');
  });
  test('what is said in a comment is not said', () => {
    expect(hiddenBy('/* .a{display:none} */ .b{display:none}')('path', { class: 'a' })).toBeUndefined();
  });
});
