import { z } from 'zod';
import {
  heldBackMl,
  liquidG,
  liquidMl,
  loseMl,
  noLiquid,
  pieceG,
  pourShare,
  STRAINERS,
  trouble,
  type Doing,
  type Strainer,
} from '../../pot';
import { asks, matchAt, findNamed } from '../../said';
import { fine, refuse } from '../../trouble';
import { doing, Id } from '../../written';
import { pouringHot } from '../cautions';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const Strain = doing('strain', {
  pressed: z.boolean(),
  through: z
    .string()
    .min(1)
    .max(40)
    .describe('colander, fine mesh, cone sieve, cloth, or one of the house’s own'),
  keep: z.array(Id).max(10).optional().describe('ingredients whose pieces stay in the pot'),
});
const isPressed = (said: readonly string[]): boolean =>
  said.some((w) => w.startsWith('press')) && !said.includes('not') && !said.includes('without');

/** The strainer that everyday words stand for. */
function strainerSaid(said: readonly string[]): Strainer {
  const any = (...words: readonly string[]): boolean => words.some((w) => said.includes(w));
  if (any('colander')) return 'colander';
  if (any('cloth', 'muslin', 'cheesecloth')) return 'cloth';
  return any('mesh', 'fine') ? 'fine mesh' : 'cone sieve';
}

type Written = z.infer<typeof Strain>;

export interface StrainStep extends Doing {
  readonly do: 'strain';
  readonly pressed: boolean;
  /** One of the usual ones, or of the house's own. */
  readonly through: string;
  /** Ids of what stays in the pot. */
  readonly keep?: readonly string[] | undefined;
}

/** Strains: the pieces leave, keep their share of the liquid, and the strainer keeps its cling. */
export const strain: Verb<Written, StrainStep> = {
  written: [Strain],
  ids: (step, each) =>
    step.keep ? { ...step, keep: step.keep.map((id, k) => each('ingredient', id, `keep[${k}]`)) } : step,
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) =>
    `strain through a ${step.through}${step.pressed ? ', pressed' : ''}${step.keep ? `, keep ${step.keep.map((id) => name.ingredient(id)).join(' and ')}` : ''}`,
  reads: [
    [
      /^strain(?:\s+through\s+(?:a\s+)?([^,]+?))?(,\s*(?:not\s+)?pressed)?(?:,\s*keep\s+(?:the\s+)?(.+))?$/i,
      (m, names) => {
        const [through, pressed, kept] = [matchAt(m, 1), matchAt(m, 2), matchAt(m, 3)];
        const strainer = through === '' ? 'cone sieve' : through.toLowerCase();
        const there = [...STRAINERS, ...(names.strainers ?? [])];
        if (!there.includes(strainer))
          return refuse('name-unknown', '', texts.notStrainer(through, there.join(', ')));
        const keep: string[] = [];
        for (const name of kept === '' ? [] : kept.split(/\s+and\s+(?:the\s+)?/i)) {
          const found = findNamed(name, names.ingredients, 'ingredient');
          if (!found.ok) return found;
          keep.push(found.value.id);
        }
        return fine({
          do: 'strain',
          pressed: pressed !== '' && !/not/i.test(pressed),
          through: strainer,
          ...(keep.length > 0 ? { keep } : {}),
        });
      },
    ],
  ],
  everyday: [
    {
      form: '(strain|pass|drain|pour|sieve) [(it|everything|the stock|the sauce|off)] [well] (through|into) [(a|the)] [(fine|clean|conical)] (colander|sieve|strainer|chinois|cloth|muslin|cheesecloth|mesh|fine mesh) [,] [and] [(pressed|pressing well|press|press well|not pressed|without pressing|pressing)]',
      means: ({ said }) => ({ do: 'strain', pressed: isPressed(said), through: strainerSaid(said) }),
    },
    {
      form: 'strain [(it|off|well|everything|the stock)] [,] [and] [(pressed|press|press well|pressing well|not pressed|without pressing)]',
      means: ({ said }) => ({ do: 'strain', pressed: isPressed(said), through: 'cone sieve' }),
    },
    {
      form: '(take|lift|fish) out [the] (bones|meat|vegetables|solids|<matter>)',
      means: () =>
        asks(
          'All that is not liquid leaves by the strainer; what is to stay is named.',
          'strain',
          'strain, pressed',
        ),
    },
  ],
  turn: 'in turn',
  resolve: ({ pressed, through, keep }) => fine({ do: 'strain', pressed, through, keep }),
  run(pot, step, c, report) {
    const clings = c.strainers[step.through];
    if (clings === undefined)
      return trouble(
        'no-such-strainer',
        `Strain: there is no ${step.through} in this kitchen: ${Object.keys(c.strainers).join(', ')}.`,
        0,
        0,
      );
    if (liquidG(pot.liquid) === 0)
      return trouble('nothing-to-strain', 'Strain: there is no liquid in the pot.', 0, 0);
    const keep = new Set(step.keep ?? []);
    const unknown = [...keep].find((id) => !pot.pieces.some((p) => p.stuff.id === id));
    if (unknown !== undefined)
      return trouble(
        'nothing-to-keep',
        'Strain: what should stay in the pot is not among the pieces in it.',
        0,
        0,
      );
    const leaving = pot.pieces.filter((p) => !keep.has(p.stuff.id));
    const held = leaving.reduce((ml, p) => ml + heldBackMl(p, step.pressed), 0);
    const wet = noLiquid();
    const there = liquidMl(pot.liquid);
    pourShare(wet, pot.liquid, there > 0 ? Math.min(1, held / there) : 0);
    loseMl(pot, held, 'held in solids', report);
    pot.lost['solids discarded'] += leaving.reduce((g, p) => g + pieceG(p), 0);
    pot.inStrainer = { pieces: leaving, liquid: wet };
    pot.pieces = pot.pieces.filter((p) => keep.has(p.stuff.id));
    loseMl(pot, clings, 'clung', report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('strain'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'ends',
  caution: pouringHot,
  mark: 'out',
};
