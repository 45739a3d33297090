import { namesIn } from '@/core/kitchen-file';
import { readStep } from '@/core/verbs';
import { demoKitchen } from '@/core/testing/demo';
import { suggestions } from '../suggest';

const file = demoKitchen();
const id = (name: string): string => file.ingredients.find((i) => i.name === name)?.id ?? '';
const names = { ...namesIn(file), usual: { [id('Thyme')]: ['bunch'], [id('Onion')]: ['', 'kg'] } };
const offered = (typed: string): string[] => suggestions(typed, names, readStep);

test('a verb is offered as it is usually said, from its first letters', () => {
  expect(offered('sim')).toContain('simmer 20 min');
  expect(offered('reduce by')).toEqual(['reduce by half', 'reduce by two thirds']);
  expect(offered('season')[0]).toMatch(/^season .*[Ss]alt$/);
  expect(offered('puree')).toContain('purée');
});

test('a thing is offered by any of its words, misspelt too, in the measure people use for it', () => {
  expect(offered('thy')[0]).toBe('1 bunch thyme');
  expect(offered('2 onio')).toEqual(expect.arrayContaining(['2 onion', '2 kg onion']));
  expect(offered('8 kg bones venison')[0]).toBe('8 kg venison bones');
  expect(offered('8 kg venson bon')).toContain('8 kg venison bones');
  expect(offered('2 l venison st')[0]).toBe('2 l venison bone stock');
});

test('what follows a verb is offered with what stands before it', () => {
  expect(offered('deglaze with 200 ml white w')).toContain('deglaze with 200 ml white wine');
  expect(offered('mount with 80 g butt')[0]).toBe('mount with 80 g butter');
});

test('stock trim and last batches come when they are asked for, and the sheet itself never', () => {
  expect(
    offered('1 kg onions')
      .slice(0, 2)
      .some((l) => /trim/.test(l)),
  ).toBe(false);
  expect(offered('1 kg stock trim of oni')[0]).toMatch(/^1 kg stock trim of /);
  const self = file.recipes[0];
  const own = suggestions(`1 l ${self?.name ?? ''}`, { ...names, self: self?.id }, readStep);
  expect(own.filter((l) => l === `1 l ${self?.name ?? ''}`)).toEqual([]);
});

test('everything offered can be read, and nothing is offered for a letter or for what stands there', () => {
  for (const typed of ['s', ' ', 'reduce by half', 're', 'st', 'a', 'po', '1 kg ca', 'col', 'xyzzy'])
    for (const line of offered(typed)) expect([line, readStep(line, names).ok]).toEqual([line, true]);
  expect(offered('s')).toEqual([]);
  expect(offered('reduce by half')).toEqual([]);
});
