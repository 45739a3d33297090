import type { Effort, ProcessConstants } from '../pot';
import type { KitchenState } from './state';

const made = new WeakMap<ProcessConstants, Map<string, ProcessConstants>>();

/**
 * The constants a kitchen's pots are run with: the shipped ones, with its own in their place. The same object for the same figures,
 * so that whatever was worked out with them still counts.
 */
export function ownConstants(
  { hands, sharedHands, rules }: Pick<KitchenState['kitchen'], 'hands' | 'sharedHands' | 'rules'>,
  c: ProcessConstants,
): ProcessConstants {
  const { cooling, strainers, walls = 1 } = rules ?? {};
  if (!hands && !sharedHands && !cooling && !strainers && walls === 1) return c;
  const known = made.get(c) ?? new Map<string, ProcessConstants>();
  made.set(c, known);
  const key = JSON.stringify([hands, sharedHands, cooling, strainers, walls]);
  const found = known.get(key) ?? {
    ...c,
    ...(cooling ? { coolingLimits: cooling } : {}),
    strainers: { ...c.strainers, ...Object.fromEntries((strainers ?? []).map((s) => [s.name, s.clingsMl])) },
    wallCling: { thin: c.wallCling.thin * walls, coating: c.wallCling.coating * walls },
    hands: { ...c.hands, ...effortsOf(c.hands, hands ?? {}) },
    sharedHands: {
      batch: inHours(sharedHands?.batchMin) ?? c.sharedHands.batch,
      perL: inHours(sharedHands?.perLMin) ?? c.sharedHands.perL,
    },
  };
  known.set(key, found);
  return found;
}

const inHours = (minutes: number | undefined): number | undefined =>
  minutes === undefined ? undefined : minutes / 60;

const effortsOf = (
  usual: ProcessConstants['hands'],
  own: NonNullable<KitchenState['kitchen']['hands']>,
): Record<string, Effort> =>
  Object.fromEntries(
    Object.entries(own).flatMap(([kind, of]) => {
      const was = usual[kind];
      return was === undefined
        ? []
        : [
            [
              kind,
              {
                fixed: inHours(of.fixedMin) ?? was.fixed,
                perKg: inHours(of.perKgMin) ?? was.perKg,
                perL: inHours(of.perLMin) ?? was.perL,
              },
            ] as const,
          ];
    }),
  );
