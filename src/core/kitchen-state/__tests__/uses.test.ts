import { demoKitchen } from '../../testing/demo';
import { insteadOf, namedBy, stateFrom, usersOf, usesIn } from '..';

const state = stateFrom(demoKitchen());
const all = [...state.recipes, ...state.plates];

describe('who is made from what', () => {
  it('says of every thing the same, whether it is asked for one or for all', () => {
    const of = usesIn(state);
    for (const kind of ['ingredient', 'recipe', 'vessel', 'hob'] as const)
      for (const { id } of {
        ingredient: state.ingredients,
        recipe: state.recipes,
        vessel: state.vessels,
        hob: state.hobs,
      }[kind])
        expect(of(kind, id)).toEqual(usersOf(state, kind, id));
  });

  it('puts one thing in the place of another everywhere, and nothing else', () => {
    const [from, to] = [state.vessels[0]!, state.vessels[1]!];
    const { recipes } = insteadOf(state, 'vessel', from.id, to.id);
    expect(recipes.map((r) => r.id)).toEqual(usersOf(state, 'vessel', from.id).recipes.map((r) => r.id));
    for (const r of recipes) {
      expect(namedBy(r).get('vessel')?.has(from.id)).toBe(false);
      const before = state.recipes.find((x) => x.id === r.id)!;
      expect({ ...r, vessel: '', steps: [] }).toEqual({ ...before, vessel: '', steps: [] });
      expect(r.steps).toHaveLength(before.steps.length);
    }
    // Every id that was named still is, but for the one that was replaced.
    const next = new Map(recipes.map((r) => [r.id, r]));
    for (const x of all) {
      const [was, is] = [namedBy(x), namedBy(next.get(x.id) ?? x)];
      for (const [kind, ids] of was)
        for (const id of ids) expect(is.get(kind)?.has(id) || id === from.id).toBe(true);
    }
  });

  it('a recipe put in the place of another leaves that one’s own lines alone', () => {
    const of = usesIn(state);
    const mother = state.recipes.find((r) => of('recipe', r.id).recipes.length > 0)!;
    const other = state.recipes.find((r) => r.id !== mother.id)!;
    const next = insteadOf(state, 'recipe', mother.id, other.id);
    expect(next.recipes.some((r) => r.id === mother.id)).toBe(false);
    expect(next.recipes.length + next.plates.length).toBe(
      usersOf(state, 'recipe', mother.id).recipes.length + usersOf(state, 'recipe', mother.id).plates.length,
    );
  });
});
