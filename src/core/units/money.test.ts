import fc from 'fast-check';
import { isCurrency, moneyText, moneyTyped, readMoney } from './money';

test.each([
  ['50', 'EUR', 5000],
  ['50.5', 'EUR', 5050],
  ['50,50', 'EUR', 5050],
  ['€ 50', 'EUR', 5000],
  ['1,250.00', 'USD', 125000],
  ['1.250,00', 'EUR', 125000],
  ['1 250', 'EUR', 125000],
  ['1250 EUR', 'EUR', 125000],
  ['500', 'JPY', 500],
  ['5.0055', 'EUR', null],
  ['5.5', 'JPY', null],
  ['-5', 'EUR', null],
  ['five', 'EUR', null],
  ['', 'EUR', null],
])('“%s” of %s is %p', (text, currency, minor) => {
  expect(readMoney(text, currency)).toBe(minor);
});
test('what is shown in a form is read back to the cent, in every currency there is', () => {
  fc.assert(
    fc.property(
      fc.nat(100_000_000),
      fc.constantFrom(...Intl.supportedValuesOf('currency')),
      (minor, currency) => {
        expect(readMoney(moneyTyped(minor, currency), currency)).toBe(minor);
      },
    ),
    { numRuns: 2000 },
  );
});
test('money reads with its sign, and a code nobody knows is not one', () => {
  expect(moneyText(5050, 'EUR')).toBe('€50.50');
  expect(moneyText(500, 'JPY')).toBe('¥500');
  expect([isCurrency('EUR'), isCurrency('eur'), isCurrency('XQZ'), isCurrency('')]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});
