'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { countedPerLitre } from '@/core/compare';
import { LAYERS, layerName } from '@/core/layers';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { QuestionPage, WayShown } from '../queries';
import type { Certainty } from '../certainty';
import * as texts from './texts';

/** What ended a base’s reduction, in a cook’s words. */
function endWords(
  { base }: WayShown,
  bare: (v: number, d?: number) => string,
  wanted: number,
): string | undefined {
  if (!base) return undefined;
  const first =
    base.strength > 1.02
      ? texts.lReducedOneFirst(bare(base.strength))
      : base.strength < 0.98 && base.strength > 0
        ? texts.letDownWaterFirst
        : '';
  const mended =
    base.mendG > 0
      ? texts.gMends(bare(base.mendG, 0), base.mend)
      : base.bodyThen < wanted * 0.99
        ? texts.nothingMendsWhatLacking
        : '';
  const then = (words: string): string => [first, words].filter(Boolean).join('; ');
  switch (base.end) {
    case 'salt':
      return then(texts.saltStopsBody(bare(base.bodyThen), mended));
    case 'too salty':
      return then(texts.tooSaltyComes(bare(base.saltPct), mended));
    case 'never':
      return then(texts.noReductionReachesBody(mended));
    case 'none needed':
      return then(texts.thickEnoughWithoutReducing);
    case 'body':
      return first;
  }
}

const hours = (h: number): string => {
  const minutes = Math.round(h * 60);
  return minutes < 60
    ? texts.min(minutes)
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
};

/** What a litre costs layer by layer, those that come to anything; nothing where there is only one. */
function layersIn(perL: WayShown['figures']['perL'], money: (v: number) => string): string | undefined {
  const known = LAYERS.flatMap((l) => {
    const cost = perL[l];
    return cost !== null && cost >= 0.005 ? [`${layerName(l)} ${money(cost)}`] : [];
  });
  return known.length > 1 ? known.join(' · ') : undefined;
}

/** Allergens that a way has and the first has not, and the other way round. */
function allergensDiffer(way: WayShown, first: WayShown): string | undefined {
  const more = way.figures.allergens.filter((a) => !first.figures.allergens.includes(a));
  const less = first.figures.allergens.filter((a) => !way.figures.allergens.includes(a));
  const words = [
    more.length > 0 ? `adds ${more.join(', ')}` : '',
    less.length > 0 ? `without ${less.join(', ')}` : '',
  ];
  return words.filter(Boolean).join('; ') || undefined;
}

interface Props {
  readonly page: QuestionPage;
  readonly sure: Certainty | undefined;
  readonly chosen: number;
  readonly choose: (way: number) => void;
}

/** Every way with what it comes to; one of them is chosen to be drawn beside the first. */
export function WaysTable({ page, sure, chosen, choose }: Props) {
  const bases = page.ways.some((w) => w.base);
  const portions = page.ways.some((w) => w.figures.perPortion);
  const [all, setAll] = useState(false);
  const heads = [
    texts.perLitre,
    '8 in 10',
    ...(portions ? [texts.portion] : []),
    'litres',
    ...(bases ? [texts.basePerLitre] : []),
    'body',
    'salt %',
    ...(all ? ['gelatin %', 'alcohol %', 'hob', 'labour', 'fill', texts.mmPerLitre] : []),
  ];
  return (
    <>
      <SheetTable responsive className="list-table ways-table">
        <thead>
          <tr>
            <th scope="col">{texts.way}</th>
            {heads.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.ways.map((_, i) => (
            <WayRow key={i} i={i} {...{ page, sure, chosen, choose, bases, portions, all }} />
          ))}
        </tbody>
      </SheetTable>
      <Button variant="link" size="sm" className="no-print" aria-expanded={all} onClick={() => setAll(!all)}>
        {all ? texts.showFewerColumns : texts.showGelatinAlcoholTimes}
      </Button>
    </>
  );
}

type RowProps = Props & {
  readonly i: number;
  readonly bases: boolean;
  readonly portions: boolean;
  readonly all: boolean;
};

function WayRow({ page, sure, chosen, choose, i, bases, portions, all }: RowProps) {
  const { money, bare, litres } = useFormatters();
  const way = page.ways[i] as WayShown;
  const { figures: f } = way;
  const band = sure?.bands[i]?.perL;
  const none = f.trouble !== undefined;
  const figures = [
    money(page.perL[i]),
    band ? `${money(band.low)} – ${money(band.high)}` : '…',
    ...(portions ? [money(f.perPortion && countedPerLitre(f.perPortion, page.layers))] : []),
    litres(f.litres * 1000),
    ...(bases ? [way.base ? `${bare(way.base.perL)} l` : '–'] : []),
    bare(f.body),
    bare(f.saltPct),
    ...(all
      ? [
          bare(f.gelatinPct, 1),
          bare(f.ethanolPct),
          hours(f.hobHours),
          hours(f.handsHours),
          `${bare(f.fullest * 100, 0)} %`,
          bare(f.mmPerL, 0),
        ]
      : []),
  ];
  return (
    <tr className={i === page.best ? 'strong' : ''}>
      <td>
        <WayName {...{ page, chosen, choose, i }} way={way} />
      </td>
      {figures.map((text, k) => (
        <td key={k} className="fig">
          {none ? '–' : text}
        </td>
      ))}
    </tr>
  );
}

/** What a way is called, what there is to say of it, and the choice to draw it beside the first. */
function WayName({
  page,
  way,
  chosen,
  choose,
  i,
}: Omit<Props, 'sure'> & { readonly way: WayShown; readonly i: number }) {
  const { bare, money } = useFormatters();
  const wanted = page.asks.of === 'base' ? page.asks.body : 0;
  const { figures: f } = way;
  const words = [
    page.meets[i] || f.trouble !== undefined ? undefined : texts.doesNotMeetRequest,
    layersIn(f.perL, money),
    endWords(way, bare, wanted),
    way.note,
    i > 0 ? allergensDiffer(way, page.ways[0] as WayShown) : undefined,
  ];
  return (
    <>
      {i === 0 ? (
        way.name
      ) : (
        <Form.Check
          type="radio"
          id={`way-${i}`}
          name="way"
          checked={i === chosen}
          onChange={() => choose(i)}
          label={way.name}
        />
      )}
      {f.trouble !== undefined && <div className="incomplete">{f.trouble}</div>}
      {words.filter(Boolean).map((w) => (
        <div key={w} className="quiet small-line">
          {w}
        </div>
      ))}
      {f.warnings.length > 0 && <div className="warning small-line">{f.warnings[0]}</div>}
    </>
  );
}
