import { readKitchen, type KitchenFile } from '../kitchen-file';

const uuid = (n: number): string => `019cabd9-0000-7000-8000-${String(n).padStart(12, '0')}`;
/** The ids of the small kitchen, by what they are of. */
export const SMALL = {
  kitchen: uuid(1),
  pot: uuid(2),
  hob: uuid(3),
  supplier: uuid(4),
  bones: uuid(10),
  fat: uuid(11),
  leek: uuid(12),
  salt: uuid(13),
  bonesBought: uuid(20),
  leekBought: uuid(21),
  saltBought: uuid(22),
  stock: uuid(30),
  sauce: uuid(31),
  plate: uuid(40),
} as const;

const yields = (usablePct: number, stockTrimPct = 0, more: object = {}) => [
  {
    on: '2026-01-01',
    recordedAt: '2026-01-01T08:00:00.000Z',
    usablePct,
    stockTrimPct,
    source: 'estimate',
    ...more,
  },
];
const article = (id: string, ingredient: string, pack: string, price: string) => ({
  id,
  supplier: SMALL.supplier,
  ingredient,
  name: `${pack} of ${ingredient}`,
  pack,
  quotes: [{ on: '2026-01-01', recordedAt: '2026-01-01T08:00:00.000Z', price }],
});
const piece = (id: string, name: string, water: number, fat = 0) => ({
  id,
  name,
  role: 'piece',
  composition: { water, fat },
});

/**
 * A kitchen small enough to work its figures out on paper: bones at 2.00 a kilo that give 70 % usable, 10 % stock trim and 20 %
 * fat, leek at 3.00, salt at 1.00; a stock that nothing is lost from, a sauce of it, and a plate.
 * @param change what is otherwise; the file is read as anyone's is
 * @throws Error with every mistake, where it cannot be read
 */
export function smallKitchen(
  change: (written: ReturnType<typeof asWritten>) => void = () => undefined,
): KitchenFile {
  const written = asWritten();
  change(written);
  const read = readKitchen(written);
  if (!read.ok) throw new Error(read.mistakes.map((m) => `${m.path}: ${m.message}`).join('\n'));
  return read.file;
}

const ingredients = () => [
  {
    ...piece(SMALL.bones, 'Bones', 50),
    yields: yields(70, 10, { byProducts: [{ ingredient: SMALL.fat, pct: 20 }] }),
  },
  {
    ...piece(SMALL.fat, 'Fat', 10, 85),
    comesOff: { ingredient: SMALL.bones, setValuePerKg: '1.00', sold: false },
    yields: yields(100),
  },
  { ...piece(SMALL.leek, 'Leek', 90), yields: yields(50, 40) },
  { ...piece(SMALL.salt, 'Salt', 0), composition: { water: 0, salt: 100 }, yields: yields(100) },
];

const recipes = () => [
  {
    id: SMALL.stock,
    name: 'Stock',
    vessel: SMALL.pot,
    hob: SMALL.hob,
    batchesAWeek: 2,
    steps: [
      { do: 'water', amount: '5 l' },
      { do: 'add', of: { ingredient: SMALL.bones }, amount: '2 kg' },
      { do: 'add', of: { stockTrimOf: SMALL.leek }, amount: '400 g' },
    ] as object[],
  },
  {
    id: SMALL.sauce,
    name: 'Sauce',
    vessel: SMALL.pot,
    hob: SMALL.hob,
    batchesAWeek: 1,
    steps: [
      { do: 'add', of: { product: SMALL.stock }, amount: '2 kg' },
      { do: 'add', of: { ingredient: SMALL.salt }, amount: '20 g' },
      { do: 'portion', size: '100 ml', overfill: '10 %' },
    ] as object[],
  },
];

const plates = () => [
  {
    id: SMALL.plate,
    name: 'Dish',
    menuPrice: '11.00' as string | undefined,
    taxPct: 10,
    targetFoodCostPct: 30 as number | undefined,
    lines: [
      { of: { ingredient: SMALL.leek }, amount: '100 g' },
      { of: { product: SMALL.sauce }, amount: '100 g' },
    ] as object[],
  },
];

const asWritten = () => ({
  format: 'half-pot-kitchen',
  version: 1,
  referenceDay: '2026-02-01',
  kitchen: {
    id: SMALL.kitchen,
    name: 'Small',
    currency: 'EUR',
    locale: 'en-IE',
    zone: 'Europe/Dublin',
    decimalMark: '.',
    trim: { school: 'weight', setValuePerKg: '0.50' },
    wagePerHour: undefined as string | undefined,
    energyPerKwh: {} as { electricity?: string },
  },
  suppliers: [{ id: SMALL.supplier, name: 'Anybody' }],
  vessels: [
    { id: SMALL.pot, name: 'Pot', shape: 'round', baseCm: 30, topCm: 30, heightCm: 40, maxFillPct: 90 },
  ],
  hobs: [{ id: SMALL.hob, name: 'Hob', netKw: null, fuel: 'electricity' }],
  ingredients: ingredients(),
  articles: [
    article(SMALL.bonesBought, SMALL.bones, '10 kg', '20.00'),
    article(SMALL.leekBought, SMALL.leek, '5 kg', '15.00'),
    article(SMALL.saltBought, SMALL.salt, '1 kg', '1.00'),
  ],
  recipes: recipes(),
  plates: plates(),
});
