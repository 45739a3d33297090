import { LAYERS, layerText, type Layer } from '../core/layers';
import { warningWords, type Warning } from '../core/pot';
import type { CostReport } from './cost';

const pad = (text: string, width: number): string =>
  text.length > width ? `${text.slice(0, width - 1)}…` : text.padEnd(width);
const num = (value: number | null | undefined, digits: number, width: number): string =>
  (value === null || value === undefined ? '–' : value.toFixed(digits)).padStart(width);

/** The report as plain text for a terminal. */
export function costTable(report: CostReport, layers: readonly Layer[] = ['ingredients']): string {
  const lines = [
    `${report.kitchen}, costed for ${report.day} in ${report.currency}, ${layerText(layers)}`,
    '',
    `${pad('Product', 30)}${'litres'.padStart(9)}${'per litre'.padStart(10)}${'a portion'.padStart(11)}   lost`,
  ];
  for (const p of report.products) {
    const lost = Object.entries(p.lostKg)
      .filter(([, kg]) => kg >= 0.005)
      .map(([cause, kg]) => `${cause} ${kg.toFixed(2)} kg`)
      .join(', ');
    lines.push(
      `${pad(p.name, 30)}${num(p.litres, 2, 9)}${p.incomplete.length > 0 ? 'incomplete'.padStart(10) : num(sumOf(p.layersPerLitre, layers), 2, 10)}${num(portionOf(p, layers), 3, 11)}   ${lost}`,
    );
    for (const gap of p.incomplete) lines.push(`${' '.repeat(4)}${gap.message}`);
    if (p.inKilos && p.costPerKg !== null)
      lines.push(`${' '.repeat(4)}thought of in kilos: ${p.costPerKg.toFixed(2)} per kilo, ingredients`);
    for (const t of p.takesBatches)
      lines.push(
        `${' '.repeat(4)}takes ${t.kg.toFixed(2)} kg of ${t.name}: a batch gives ${t.batchKg.toFixed(2)} kg, so that means ${t.batches} batches`,
      );
    for (const row of (p.ledger ?? []) as LedgerLine[])
      lines.push(
        `${' '.repeat(4)}${String(row.step).padStart(2)} ${pad(row.said, 46)}${num(row.litres, 2, 8)} l${num(row.piecesKg, 2, 8)} kg${num(row.dipCm, 1, 7)} cm${num(row.saltPct, 2, 7)} % salt${num(row.gelatinPct, 2, 7)} % gel.${num(row.body, 2, 6)} body${num(row.costPerLitre, 2, 8)} /l ingredients${row.warnings.map((w) => `\n${' '.repeat(8)}! ${warningWords(w)}`).join('')}`,
      );
  }
  lines.push(
    '',
    `${pad('Dish', 49)}${'cost'.padStart(11)}${'of its price'.padStart(14)}   both of ${layerText(layers)}`,
  );
  for (const p of report.plates) {
    lines.push(
      `${pad(p.name, 49)}${p.incomplete.length > 0 ? 'incomplete'.padStart(11) : num(sumOf(p.layers, layers), 3, 11)}${ofPrice(p, layers)}`,
    );
    for (const gap of p.incomplete) lines.push(`${' '.repeat(4)}${gap.message}`);
  }
  return `${lines.join('\n')}\n`;
}

/** The layers asked for, added up; null while one of them is not whole. */
function sumOf(costs: Readonly<Record<Layer, number | null>>, layers: readonly Layer[]): number | null {
  return layers.reduce<number | null>((sum, name) => {
    const one = costs[name];
    return sum === null || one === null ? null : sum + one;
  }, 0);
}

/** The share of the price that the same layers take. */
function ofPrice(p: CostReport['plates'][number], layers: readonly Layer[]): string {
  const cost = sumOf(p.layers, layers);
  const pct = cost === null || !p.netPrice ? undefined : (cost / p.netPrice) * 100;
  return (pct === undefined ? '–' : `${pct.toFixed(1)} %`).padStart(14);
}

/** A portion is so much of a litre, its own jar and all. */
function portionOf(p: CostReport['products'][number], layers: readonly Layer[]): number | null {
  const litre = sumOf(p.layersPerLitre, layers);
  return litre === null || p.pouredMl === null ? null : (litre * p.pouredMl) / 1000;
}

/** Layers as they are typed: `ingredients,energy` or `all`; undefined where one is not a layer. */
export function layersFrom(typed: string): Layer[] | undefined {
  if (typed === 'all') return [...LAYERS];
  const names = typed.split(',').map((name) => name.trim());
  return names.every((name) => (LAYERS as readonly string[]).includes(name))
    ? LAYERS.filter((name) => names.includes(name))
    : undefined;
}

interface LedgerLine {
  readonly step: number;
  readonly said: string;
  readonly litres: number;
  readonly piecesKg: number;
  readonly dipCm: number;
  readonly saltPct: number;
  readonly gelatinPct: number;
  readonly body: number;
  readonly costPerLitre: number | null;
  readonly warnings: readonly Warning[];
}
