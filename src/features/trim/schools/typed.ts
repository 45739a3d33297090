import type { KitchenState } from '@/core/kitchen-state';
import type { Trimmed } from './wire';

/** How a kitchen trims and learns, and what its hands and energy cost, in the fields of their form. */
export const trimmingTyped = (kitchen: KitchenState['kitchen']): Trimmed => ({
  school: kitchen.trim.school,
  setValue: kitchen.trim.setValuePerKg,
  wage: kitchen.wagePerHour ?? '',
  electricity: kitchen.energyPerKwh.electricity ?? '',
  gas: kitchen.energyPerKwh.gas ?? '',
  learning: kitchen.learning,
  scale: kitchen.scale ?? '',
});
