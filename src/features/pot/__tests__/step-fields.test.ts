import { namesIn } from '@/core/kitchen-file';
import { demoKitchen } from '@/core/testing/demo';
import { besideOf, MODEL_LINES, readStep, type WrittenStep } from '@/core/verbs';
import { fieldsFrom, formsOf, stepFrom, verbWords, type StepKind } from '../step-fields';

const file = demoKitchen();
const names = namesIn(file);

/** A step without what stands beside its words, put into the form it belongs to and taken out again. */
function throughForm(step: WrittenStep): WrittenStep | undefined {
  const verb = step.do as StepKind;
  const filled = fieldsFrom(step);
  const form = formsOf(verb, names).find((f) =>
    Object.keys(filled).every((key) => key === 'keep' || f.some((x) => x.key === key)),
  );
  return form && stepFrom(verb, form, filled);
}

test('every line of the demo comes out of its form as it went in', () => {
  for (const recipe of file.recipes)
    for (const step of recipe.steps) {
      if (step.do === 'unread') continue;
      const beside = Object.keys(besideOf(step));
      const bare = Object.fromEntries(
        Object.entries(step).filter(([key]) => !beside.includes(key)),
      ) as WrittenStep;
      const out = throughForm(bare);
      // What was left out may be said by the form: not pressed, by weight.
      expect([recipe.name, out]).toEqual([recipe.name, expect.objectContaining(bare)]);
    }
});

test('every verb has a form, every field a label that is no word of the program’s', () => {
  for (const verb of Object.keys(MODEL_LINES) as StepKind[]) {
    expect(verbWords(verb)).not.toBe('');
    for (const fields of formsOf(verb, names))
      for (const { label } of fields) expect(label).toMatch(/^[A-Z]/);
  }
});

test('a form that is not whole comes to no step, and one that is to the step it says', () => {
  const [fields = []] = formsOf('cook', names);
  expect(stepFrom('cook', fields, { heat: 'simmer', time: '20 min' })).toBeUndefined();
  expect(stepFrom('cook', fields, { heat: 'simmer', time: '20 min', lid: 'off' })).toEqual({
    do: 'cook',
    heat: 'simmer',
    time: '20 min',
    lid: 'off',
  });
  const read = readStep('strain through a fine mesh, pressed', names);
  expect(read.ok && throughForm(read.value)).toMatchObject({
    do: 'strain',
    pressed: true,
    through: 'fine mesh',
  });
});
