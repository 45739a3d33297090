import type { Names } from '../said';
import { writeStep } from '../verbs';
import type { WrittenRecipe } from './schema';

/** A line of a recipe as it is said, with what stands beside its words: “strain, only pressed”, “skim 100 ml, switched off”. */
export function lineWords(
  step: WrittenRecipe['steps'][number],
  { choices = [] }: Pick<WrittenRecipe, 'choices'>,
  names: Names,
): string {
  const way = choices.flatMap((c) => c.ways).find((w) => w.id === step.way)?.name;
  return [
    writeStep(step, names),
    ...(step.off ? ['switched off'] : []),
    ...(step.note === undefined ? [] : [`noted: ${step.note}`]),
    ...(way === undefined ? [] : [`only ${way}`]),
  ].join(', ');
}
