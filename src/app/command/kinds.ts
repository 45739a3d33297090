import { commands as ingredient } from '@/features/buy/ingredient/commands';
import { commands as larder } from '@/features/buy/larder/commands';
import { commands as lists } from '@/features/buy/lists/commands';
import { commands as own } from '@/features/buy/own/commands';
import { commands as suppliers } from '@/features/buy/suppliers/commands';
import { commands as prices } from '@/features/buy/commands';
import { commands as purchases } from '@/features/buy/purchases/commands';
import { commands as changes } from '@/features/changes/commands';
import { commands as house } from '@/features/house/commands';
import { commands as settings } from '@/features/house/settings/commands';
import { commands as stove } from '@/features/house/stove/commands';
import { commands as people } from '@/features/people/commands';
import { commands as pots } from '@/features/pot/commands';
import { commands as plates } from '@/features/pour/commands';
import { commands as bench } from '@/features/trim/bench/commands';
import { commands as flow } from '@/features/trim/flow/commands';
import { commands as schools } from '@/features/trim/schools/commands';
import { commands as taught } from '@/features/trim/taught/commands';
import { commands as atStove } from '@/features/stove/commands';
import { commands as weigh } from '@/features/weigh/commands';
import { kindsOf, type AnyDeclared } from '@/server/door';

let known: ReadonlyMap<string, AnyDeclared> | undefined;

/** Every kind of write there is; a station adds its own here. */
export const kinds = (): ReadonlyMap<string, AnyDeclared> =>
  (known ??= kindsOf([
    ...prices,
    ...ingredient,
    ...larder,
    ...own,
    ...suppliers,
    ...lists,
    ...purchases,
    ...pots,
    ...plates,
    ...bench,
    ...flow,
    ...schools,
    ...taught,
    ...people,
    ...changes,
    ...house,
    ...settings,
    ...stove,
    ...weigh,
    ...atStove,
  ]));
