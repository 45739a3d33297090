import type { KitchenFile } from '../../kitchen-file';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { costByLayer, costFile, costOfProduct } from '..';
import { layerMoney, layerShares, LAYERS, layerText, type Layer } from '../../layers';

const cost = (file: KitchenFile) => costFile(file, file.referenceDay, CONSTANTS);
const priced = (): KitchenFile => {
  const file = demoKitchen();
  file.kitchen.energyPerKwh = { electricity: '0.30', gas: '0.12' };
  file.kitchen.wagePerHour = '18.00';
  return file;
};
const EXTRA: readonly Exclude<Layer, 'ingredients'>[] = ['packaging', 'energy', 'hands'];

describe('layers of a cost', () => {
  test('the ingredients are the same whatever the meter and the wage say', () => {
    const plain = demoKitchen();
    delete plain.kitchen.wagePerHour;
    plain.kitchen.energyPerKwh = {};
    const [a, b] = [cost(plain), cost(priced())];
    for (const r of plain.recipes) expect(costOfProduct(a, r.id).perL).toBe(costOfProduct(b, r.id).perL);
  });

  test('energy is every kWh of the pot at its tariff, and those of the pots it is made from by the gram', () => {
    const file = priced();
    const costing = cost(file);
    for (const { id } of file.recipes) {
      const { run } = costing.recipes.get(id)!;
      if (run.rows.some((r) => r.parted.length > 0)) continue;
      const tariff = { electricity: 0.3, gas: 0.12 };
      const own = run.rows.reduce((sum, r) => sum + r.energy.kWh * tariff[r.energy.fuel], 0);
      const brought = run.inputs.reduce(
        (sum, i) =>
          sum + (/^(product|last):/.test(i.supply) ? i.g * costing.layer('energy').cost(i.supply)! : 0),
        0,
      );
      expect(costByLayer(costing, `product:${id}`).energy! * run.product!.g).toBeCloseTo(own + brought, 8);
    }
  });

  test('a dearer kWh or hour moves its own layer in proportion, and no other', () => {
    const once = cost(priced());
    const file = priced();
    file.kitchen.energyPerKwh = { electricity: '0.60', gas: '0.24' };
    const twice = cost(file);
    for (const r of file.recipes) {
      const [a, b] = [once, twice].map((c) => costByLayer(c, `product:${r.id}`));
      expect(b!.energy).toBeCloseTo(2 * a!.energy!, 12);
      expect([b!.ingredients, b!.packaging, b!.hands]).toEqual([a!.ingredients, a!.packaging, a!.hands]);
    }
  });

  test('a layer nobody has priced is unknown, never 0; a pot without a hob or a jar costs nothing of it', () => {
    const file = priced();
    delete file.kitchen.wagePerHour;
    file.kitchen.energyPerKwh = {};
    const costing = cost(file);
    const stock = file.recipes.find((r) => r.name === 'Venison bone stock')!;
    const found = costByLayer(costing, `product:${stock.id}`);
    expect([found.energy, found.hands]).toEqual([null, null]);
    expect(found.packaging).toBe(0);
    expect(found.ingredients).toBeGreaterThan(0);
  });

  test('what a sheet reckons by itself is what the graph says, joint products and all', () => {
    const file = priced();
    const costing = cost(file);
    for (const { id } of file.recipes) {
      const { run } = costing.recipes.get(id)!;
      for (const layer of EXTRA) {
        const graph = costing.layer(layer);
        const price = (supply: string) =>
          supply === 'free' ? 0 : graph.has(supply) ? graph.cost(supply) : null;
        const want = costByLayer(costing, `product:${id}`)[layer];
        expect(layerMoney(run, layer, price)).toBeCloseTo(want! * run.product!.g, 8);
        // Anyone who brings it adds up to it, and nobody brings less than nothing.
        const shares = layerShares(run, layer, price)!;
        expect(shares.reduce((sum, s) => sum + s.money, 0)).toBeCloseTo(want! * run.product!.g, 8);
        expect(shares.every((s) => s.money >= 0)).toBe(true);
      }
    }
  });

  test('what parts by weight carries its share of energy and hands; what is credited carries none', () => {
    const file = priced();
    const costing = cost(file);
    for (const { id } of file.recipes) {
      const { run } = costing.recipes.get(id)!;
      const joints = run.rows.flatMap((r) => r.parted);
      for (const joint of joints) {
        const energy = costByLayer(costing, `product:${id}#${joint.name}`).energy!;
        if (joint.cost.by === 'credit') expect(energy).toBe(0);
        else expect(energy).toBeGreaterThanOrEqual(0);
      }
    }
    // Energy spent on a pot is in what stays and in what parted, to the last cent.
    const mutton = file.recipes.find((r) => r.name === 'Mutton broth')!;
    mutton.steps = mutton.steps.map((s) =>
      'as' in s && s.as !== undefined ? { ...s, cost: { by: 'weight' } } : s,
    );
    const shared = cost(file);
    const { run } = shared.recipes.get(mutton.id)!;
    const all = run.rows.reduce((sum, r) => sum + r.energy.kWh * (r.energy.fuel === 'gas' ? 0.12 : 0.3), 0);
    const parted = run.rows
      .flatMap((r) => r.parted)
      .reduce(
        (sum, j) => sum + costByLayer(shared, `product:${mutton.id}#${j.name}`).energy! * j.product.g,
        0,
      );
    expect(parted).toBeGreaterThan(0);
    expect(parted + costByLayer(shared, `product:${mutton.id}`).energy! * run.product!.g).toBeCloseTo(all, 8);
  });

  test('jars are packaging: so many as there are portions, and no part of what is eaten', () => {
    const file = priced();
    const passata = file.recipes.find((r) => r.name === 'Pepper passata')!;
    const plain = demoKitchen();
    const same = plain.recipes.find((r) => r.name === 'Pepper passata')!;
    for (const r of [same])
      r.steps = r.steps.map((s) => (s.do === 'portion' ? { ...s, container: undefined } : s));
    const [a, b] = [cost(plain), cost(file)];
    expect(costOfProduct(b, passata.id).perL).toBe(costOfProduct(a, passata.id).perL);
    const { run } = b.recipes.get(passata.id)!;
    const jar = run.packed[0]!;
    const perG = b.layer('packaging').cost(jar.supply)!;
    const portions = run.rows.at(-1)!.portions!.whole;
    expect(jar.g * perG).toBeCloseTo(costByLayer(b, `product:${passata.id}`).packaging! * run.product!.g, 9);
    const one = file.ingredients.find((i) => `usable:${i.id}` === jar.supply)!;
    expect(jar.g).toBeCloseTo(portions * one.eachG!, 9);
  });

  test('layers are named', () => {
    expect(layerText(['ingredients'])).toBe('ingredients only');
    expect(layerText(LAYERS)).toBe('ingredients, packaging, energy and labour');
  });
});
