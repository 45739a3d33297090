import { Fragment } from 'react';
import Button from 'react-bootstrap/Button';
import { priceFor } from '@/core/costing';
import { layerName } from '@/core/layers';
import { layersText } from '@/ui/frame/counted-layers';
import { useFormatters } from '@/ui/formatters-context';
import { Panel } from '@/ui/panels/panel';
import { TypedField } from '@/ui/forms/typed-field';
import { WhyFigure } from '@/ui/panels/why';
import { canWait } from '@/wire';
import type { PlateData } from '../queries';
import type { TheirPlate } from '../wire';
import { FoodCostVerdict } from './plate-list';
import type { ShownPlate, usePlate } from './use-plate';
import * as texts from './texts';

/** What the plate costs, and what became of what was typed. */
export function PlateAnswer({ data, plate, ids }: ShownPlate) {
  const { money, bare, counted } = useFormatters();
  return (
    <Panel aria-label={texts.dishsCost}>
      <span className="fig-large hot">
        {plate.whole === null ? (
          <span className="incomplete">{texts.incomplete}</span>
        ) : (
          <WhyFigure of={`plate:${data.plate.id}`} label={texts.perDish(data.plate.name)} className="hot">
            {money(plate.whole)}
          </WhyFigure>
        )}
      </span>
      <span className="fig-label">
        {texts.perDishLayersText(layersText(counted))}
        {data.plate.service && `, ${data.plate.service}`}
        {data.plate.serviceLossPct ? texts.lostService(bare(data.plate.serviceLossPct, 1)) : ''}
      </span>
      <Share data={data} plate={plate} ids={ids} />
      {plate.priceTrouble && (
        <p id={`${ids}-price`} role="alert" className="trouble">
          {plate.priceTrouble}
        </p>
      )}
      <p role="status" className="m-0 small-line">
        {plate.answer?.ok && <span className="small-line cheaper">{texts.saved}</span>}
        {canWait(plate.answer) && plate.answer?.ok === false && (
          <span className="quiet">{plate.answer.message}</span>
        )}
      </p>
      {plate.answer &&
        !plate.answer.ok &&
        !canWait(plate.answer) &&
        plate.answer.message !== plate.priceTrouble && (
          <p role="alert" className="trouble">
            {plate.answer.message}{' '}
          </p>
        )}
      {plate.answer?.ok === false && plate.answer.theirs && (
        <Theirs data={data} plate={plate} theirs={plate.answer.theirs} />
      )}
    </Panel>
  );
}

/** Its price, and what share of that it costs. */
function Share({ data, plate, ids }: ShownPlate) {
  const { money, bare } = useFormatters();
  return (
    <dl className="facts">
      <dt>{texts.menuTax(bare(data.plate.taxPct, 1))}</dt>
      <dd>
        <TypedField
          label={texts.priceMenu}
          value={plate.opened.menuPrice}
          trouble={plate.priceTrouble}
          describedBy={`${ids}-price`}
          disabled={!data.mayEdit}
          asks={(t) => plate.asksPrice(t, money)}
          onTyped={plate.typePrice}
          onDone={plate.keepPrice}
        />
      </dd>
      <dt>{texts.netTax}</dt>
      <dd className="fig">{money(plate.net)}</dd>
      <dt>{texts.foodCostHeading}</dt>
      <dd className="fig strong">{plate.pct === null ? '–' : `${bare(plate.pct, 1)} %`}</dd>
      <dt>{texts.target}</dt>
      <dd>
        <FoodCostVerdict pct={plate.pct} target={data.plate.targetFoodCostPct} />
      </dd>
      <Asked data={data} plate={plate} />
      <dt>{texts.grossProfit}</dt>
      <dd className="fig">
        {plate.net === null || plate.cost === null ? '–' : money(plate.net - plate.cost)}
      </dd>
      <Beside data={data} />
    </dl>
  );
}

/** What the plate costs beside its ingredients, and the alcohol that is left on it. */
function Beside({ data: { layers, alcohol } }: Pick<ShownPlate, 'data'>) {
  const { small, bare } = useFormatters();
  const beside = (['packaging', 'energy', 'hands'] as const).filter((l) => layers[l] !== 0);
  return (
    <>
      {beside.map((layer) => (
        <Fragment key={layer}>
          <dt>{texts.plus(layerName(layer))}</dt>
          <dd className="fig">{layers[layer] === null ? texts.notKnown : small(layers[layer])}</dd>
        </Fragment>
      ))}
      {alcohol.length > 0 && (
        <>
          <dt>{texts.alcoholLeft}</dt>
          <dd className="fig">
            {grams(
              alcohol.reduce((g, a) => g + a.g, 0),
              bare,
            )}
          </dd>
          {alcohol.map((a) => (
            <Fragment key={`${a.on} ${a.of}`}>
              <dt className="ps-3 quiet">
                {a.of}
                {a.on === a.of ? texts.asItIs : texts.inText(a.on)}
              </dt>
              <dd className="fig quiet">{grams(a.g, bare)}</dd>
            </Fragment>
          ))}
        </>
      )}
    </>
  );
}

/** Grams of alcohol; what is too little to say is never said to be none. */
const grams = (g: number, bare: (x: number, digits?: number) => string): string =>
  g < 0.01 ? 'under 0.01 g' : `${bare(g, g < 1 ? 2 : 1)} g`;

/** The price that its target asks for, as this house writes prices. */
function Asked({ data, plate }: Pick<ShownPlate, 'data' | 'plate'>) {
  const { money, bare } = useFormatters();
  const { targetFoodCostPct: target, taxPct } = data.plate;
  if (target === undefined || plate.cost === null) return null;
  const asked = priceFor(plate.cost, target, taxPct, data.steps);
  if (!asked.ok)
    return (
      <>
        <dt>{texts.priceTarget}</dt>
        <dd className="dearer">{asked.trouble.message}</dd>
      </>
    );
  const { onMenu } = asked.value;
  const typed = onMenu.toFixed(2).replace('.', data.mark);
  return (
    <>
      <dt>{texts.needs(bare(target, target % 1 ? 1 : 0))}</dt>
      <dd className="fig">
        {data.mayEdit && plate.pct !== null && plate.pct > target && (
          <Button variant="plain" size="sm" className="me-2" onClick={() => plate.takePrice(typed)}>
            {texts.usePrice}
          </Button>
        )}
        {money(onMenu)}
      </dd>
    </>
  );
}

/** How somebody else has left the plate meanwhile, beside what is typed here: one of the two is kept. */
function Theirs({
  data,
  plate,
  theirs,
}: {
  readonly data: PlateData;
  readonly plate: ReturnType<typeof usePlate>;
  readonly theirs: TheirPlate;
}) {
  const amounts = new Map(theirs.plate.lines.map((l) => [l.id, l.amount]));
  const others = data.lines.flatMap((line, i) => {
    const other = amounts.get(line.id);
    return other !== undefined && other !== plate.amounts[i]
      ? [{ what: line.name, mine: plate.amounts[i] ?? '', other }]
      : [];
  });
  const price = theirs.plate.menuPrice ?? '';
  const all = [
    ...others,
    ...(price === plate.menuPrice ? [] : [{ what: 'Price', mine: plate.menuPrice, other: price }]),
  ];
  return (
    <div className="d-inline-flex flex-wrap gap-2 ms-2">
      {all.map(({ what, mine, other }) => (
        <p key={what}>{texts.theirsNoneYoursNone(what, other, mine)}</p>
      ))}
      <Button variant="plain" size="sm" onClick={() => plate.keepMine(theirs)}>
        {texts.keepMine}
      </Button>{' '}
      <Button variant="plain" size="sm" onClick={() => plate.takeTheirs(theirs)}>
        {texts.takeTheirs}
      </Button>
    </div>
  );
}
