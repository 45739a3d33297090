import { plural } from '..';

test('one takes the singular; none, parts and many take the plural', () => {
  expect([0, 1, 1.5, 2, 21, 101].map((n) => plural(n, 'line', 'lines'))).toEqual([
    'lines',
    'line',
    'lines',
    'lines',
    'lines',
    'lines',
  ]);
});
