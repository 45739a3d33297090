import { SERVICES, type HouseRules } from '@/core/kitchen-file';
import { FUELS, HEATS } from '@/core/pot';
import { readPct } from '@/core/larder';
import { readAmountOf, type Manner } from '@/core/quantity';
import { refuse, type Trouble } from '@/core/trouble';
import { BESIDE, type SettingsTyped } from './wire';
import * as texts from './texts';

type Read =
  | { readonly ok: true; readonly rules: HouseRules | null }
  | { readonly ok: false; readonly trouble: Trouble };

const no = (path: string, message: string, numbers?: Record<string, number>): Read => ({
  ok: false,
  trouble: refuse('rule-unread', path, message, numbers).trouble,
});

/** °C and h that a limit may lie between. */
const LIMITS = { toC: [0, 60], withinH: [0.1, 24] } as const;

/** “21 °C in 2 h; 5 °C in 6 h” as limits, the warmest first; each colder one later than the one before. */
function coolingOf(typed: string, manner: Manner): Read {
  const cooling: { toC: number; withinH: number }[] = [];
  for (const part of typed.split(';').filter((p) => p.trim() !== '')) {
    const [, to = '', within = ''] = /^(.+?)\s+(?:with)?in\s+(.+)$/i.exec(part.trim()) ?? [];
    const [c, h] = [readAmountOf(['temperature'], to, manner), readAmountOf(['time'], within, manner)];
    if (!c.ok || !h.ok) return no('cooling', texts.notCoolingLimitWrite(part.trim()));
    const limit = { toC: Number(c.value.value.toFixed(2)), withinH: Number(h.value.value.toFixed(4)) };
    const [lowC, highC] = LIMITS.toC;
    const [lowH, highH] = LIMITS.withinH;
    if (limit.toC < lowC || limit.toC > highC)
      return no('cooling', texts.potCooledBetweenC(lowC, highC, limit.toC), {
        value: limit.toC,
        limit: highC,
      });
    if (limit.withinH < lowH || limit.withinH > highH)
      return no('cooling', texts.potCooledWithinH(lowH, highH, limit.withinH), {
        value: limit.withinH,
        limit: highH,
      });
    cooling.push(limit);
  }
  if (cooling.length > 4)
    return no('cooling', texts.most4LimitsKept(cooling.length), {
      value: cooling.length,
      limit: 4,
    });
  const sorted = cooling.sort((a, b) => b.toC - a.toC);
  const odd = sorted.find((l, i) => i > 0 && l.withinH <= (sorted[i - 1]?.withinH ?? 0));
  if (odd) return no('cooling', texts.cWithinHWould(odd.toC, odd.withinH));
  return { ok: true, rules: sorted.length > 0 ? { cooling: sorted } : null };
}

/** °C that food is reheated to, or held at, lies between. */
const HOT = [40, 100] as const;

/** “reheated to 75 °C in 1 h; held at 63 °C” as what is asked of hot food. */
function warmOf(typed: string, manner: Manner): Read {
  const rules: Pick<HouseRules, 'reheat' | 'holdAtC'> = {};
  for (const part of typed.split(';').filter((p) => p.trim() !== '')) {
    const reheated = /^reheat(?:ed)?(?:\s+to)?\s+(.+?)\s+(?:with)?in\s+(.+)$/i.exec(part.trim());
    const held = /^h(?:e|o)ld(?:\s+at)?\s+(.+)$/i.exec(part.trim());
    const c = readAmountOf(['temperature'], reheated?.[1] ?? held?.[1] ?? '', manner);
    const h = reheated ? readAmountOf(['time'], reheated[2] ?? '', manner) : undefined;
    if (!c.ok || (h && !h.ok)) return no('warm', texts.notRuleHotFood(part.trim()));
    const toC = Number(c.value.value.toFixed(2));
    if (toC < HOT[0] || toC > HOT[1])
      return no('warm', texts.hotFoodBetweenC(HOT[0], HOT[1], toC), {
        value: toC,
        limit: toC < HOT[0] ? HOT[0] : HOT[1],
      });
    if (!h?.ok) {
      rules.holdAtC = toC;
      continue;
    }
    const withinH = Number(h.value.value.toFixed(4));
    const [lowH, highH] = LIMITS.withinH;
    if (withinH < lowH || withinH > highH)
      return no('warm', texts.foodReheatedWithinH(lowH, highH, withinH), {
        value: withinH,
        limit: highH,
      });
    rules.reheat = { toC, withinH };
  }
  return { ok: true, rules };
}

/** “electricity at bare simmer; back at 06:00”, “nothing; back at 07:30” as what may stand on the heat for the night. */
function nightOf(typed: string): Read {
  const said = typed.trim().toLowerCase();
  if (said === '') return { ok: true, rules: null };
  const [, hours = '', minutes = ''] = /back at (\d{1,2})[:.](\d{2})/.exec(said) ?? [];
  const fuels = FUELS.filter((fuel) => said.includes(fuel));
  const heat = [...HEATS].sort((a, b) => b.length - a.length).find((h) => said.includes(h));
  const nothing = /^nothing\b/.test(said);
  if (
    hours === '' ||
    Number(hours) > 23 ||
    Number(minutes) > 59 ||
    (!nothing && (fuels.length === 0 || !heat))
  )
    return no('night', texts.notOvernightRuleWrite(typed.trim(), HEATS.join(', ')));
  const back = `${hours.padStart(2, '0')}:${minutes}`;
  return {
    ok: true,
    rules: { night: { fuels: nothing ? [] : fuels, heat: (!nothing && heat) || HEATS[0], back } },
  };
}

/** Of what is made up, % that may be lost in service: with more nothing would be sold. */
const MOST_LOST = 90;

/** “banquet 6 %; staff 10 %” as what is lost in each way of serving. */
function lossesOf(typed: string, manner: Manner): Read {
  const lost: NonNullable<HouseRules['serviceLoss']> = {};
  for (const part of typed.split(';').filter((p) => p.trim() !== '')) {
    const [, way = '', share = ''] = /^(.+?)\s+([\d.,]+\s*%)$/.exec(part.trim()) ?? [];
    const service = SERVICES.find((s) => s.toLowerCase() === way.toLowerCase());
    const pct = readPct(share, manner.mark);
    if (!service || !pct.ok) return no('losses', texts.notServiceLossWrite(part.trim(), SERVICES.join(', ')));
    if (!(pct.value >= 0 && pct.value <= MOST_LOST))
      return no('losses', texts.cannotLostServiceFrom(pct.value, MOST_LOST), {
        value: pct.value,
        limit: MOST_LOST,
      });
    if (lost[service] !== undefined) return no('losses', texts.twice(service));
    lost[service] = pct.value;
  }
  return { ok: true, rules: Object.keys(lost).length > 0 ? { serviceLoss: lost } : null };
}

const MOST_STRAINERS = 20;

/** “superbag 60 ml; cone sieve 200 ml” as strainers, by their names in small letters. */
function strainersOf(typed: string, manner: Manner): Read {
  const strainers: { name: string; clingsMl: number }[] = [];
  for (const part of typed.split(';').filter((p) => p.trim() !== '')) {
    const [, called = '', held = ''] = /^(\p{L}[\p{L}\p{N} -]*?)\s+([\d.,].*)$/u.exec(part.trim()) ?? [];
    const name = called.toLowerCase().replace(/\s+/g, ' ');
    const read = readAmountOf(['volume'], held, manner);
    if (name === '' || !read.ok) return no('strainers', texts.notStrainerWriteWhat(part.trim().slice(0, 60)));
    if (name.length > 40)
      return no('strainers', texts.strainersNameMost40(name.length), {
        value: name.length,
        limit: 40,
      });
    const clingsMl = Number(read.value.value.toFixed(3));
    if (clingsMl > 5000)
      return no('strainers', texts.cannotStayStrainerMost(held), {
        value: clingsMl,
        limit: 5000,
      });
    if (strainers.some((s) => s.name === name)) return no('strainers', texts.standsTwiceName(name));
    strainers.push({ name, clingsMl });
  }
  if (strainers.length > MOST_STRAINERS)
    return no('strainers', texts.mostStrainersKeptThese(MOST_STRAINERS, strainers.length), {
      value: strainers.length,
      limit: MOST_STRAINERS,
    });
  return { ok: true, rules: strainers.length > 0 ? { strainers } : null };
}

/** “1.3” as what stays on walls in times of what is usual. */
function wallsOf(typed: string, manner: Manner): Read {
  const said = typed.trim().replace(/\s*(?:×|times)$/i, '');
  if (said === '') return { ok: true, rules: null };
  const read = readPct(said, manner.mark);
  if (!read.ok) return no('walls', texts.notNumberTimesWrite(typed.trim()));
  if (!(read.value >= 0 && read.value <= 10))
    return no('walls', texts.timesWhatUsualCannot(read.value), {
      value: read.value,
      limit: 10,
    });
  return { ok: true, rules: read.value === 1 ? null : { walls: read.value } };
}

/** What a house looks at and keeps to, as typed; nothing of it where it is as usual. */
export function rulesFrom(
  {
    layers,
    strainers,
    cooling,
    weekdays,
    days,
    losses = '',
    warm = '',
    probe = '',
    night = '',
    walls = '',
  }: SettingsTyped,
  manner: Manner,
): Read {
  const strained = strainersOf(strainers, manner);
  if (!strained.ok) return strained;
  const cooled = coolingOf(cooling, manner);
  if (!cooled.ok) return cooled;
  const poured = wallsOf(walls, manner);
  if (!poured.ok) return poured;
  const hot = warmOf(warm, manner);
  if (!hot.ok) return hot;
  const left = nightOf(night);
  if (!left.ok) return left;
  const lost = lossesOf(losses, manner);
  if (!lost.ok) return lost;
  const closed = days.split(/[,;\s]+/).filter((d) => d !== '');
  const bad = closed.find(
    (d) => !/^\d{4}-\d{2}-\d{2}$/.test(d) || Number.isNaN(Date.parse(`${d}T00:00:00Z`)),
  );
  if (bad !== undefined) return no('days', texts.notDateWriteClosed(bad));
  if (closed.length > 400)
    return no('days', texts.most400ClosedDaysKeptThese(closed.length), {
      value: closed.length,
      limit: 400,
    });
  const rules: HouseRules = {
    ...(layers.length === BESIDE.length ? {} : { layers: BESIDE.filter((l) => layers.includes(l)) }),
    ...(strained.rules ?? {}),
    ...(poured.rules ?? {}),
    ...(cooled.rules ?? {}),
    ...(hot.rules ?? {}),
    ...(left.rules ?? {}),
    ...(probe === '' ? {} : { probe }),
    ...(lost.rules ?? {}),
    ...(weekdays.length + closed.length === 0
      ? {}
      : {
          closed: { weekdays: weekdays.map(Number).sort((a, b) => a - b), days: [...new Set(closed)].sort() },
        }),
  };
  return { ok: true, rules: Object.keys(rules).length > 0 ? rules : null };
}
