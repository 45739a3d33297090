import Button from 'react-bootstrap/Button';
import { X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { v7 } from 'uuid';
import { readAmount, writeAmount, type Manner } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import { useMissing } from '@/ui/forms/missing';
import { SheetTable } from '@/ui/tables/sheet-table';
import { useToast } from '@/ui/frame/toasts';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { WhyFigure } from '@/ui/panels/why';
import type { Platable } from '../actions';
import type { PlateData } from '../queries';
import { savePlateLines } from '../send';
import { AddLine } from './add-line';
import { HowServed, ServedWords } from './line-served';
import { FoodCostVerdict } from './plate-list';
import type { LiveLine, ShownPlate, usePlate } from './use-plate';
import * as texts from './texts';

/** What arithmetic in a portion comes to; nothing for a plain amount. */
function workedOut(text: string, manner: Manner): string | undefined {
  const read = /[-+*/×(]/.test(text) ? readAmount(text, manner) : undefined;
  return read?.ok ? `= ${writeAmount(read.value, manner.mark, manner.measures)}` : undefined;
}

/** What stands on the plate, one more thing, and one out. */
export function PlateLines({ data, plate, ids }: ShownPlate) {
  const most = Math.max(...plate.lines.map((l) => l.cost ?? 0), 0.01);
  const { add, remove, trouble } = useLines(data, plate);
  return (
    <div>
      <SheetTable className="list-table tall">
        <thead>
          <tr>
            <th scope="col">{texts.dish}</th>
            <th scope="col">{texts.portion}</th>
            <th scope="col">{texts.weight}</th>
            <th scope="col" className="left">
              {texts.share}
            </th>
            <th scope="col">{texts.costs}</th>
            <th scope="col">
              <span className="visually-hidden">{texts.remove}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data.lines.map((line, i) => (
            <Line
              key={line.id}
              i={i}
              data={data}
              plate={plate}
              most={most}
              ids={ids}
              remove={data.mayEdit ? () => remove(i) : undefined}
            />
          ))}
        </tbody>
      </SheetTable>
      {data.lines.length === 0 && <p className="quiet">{texts.nothingDishYetAdd}</p>}
      {data.mayEdit && <AddLine add={add} trouble={trouble} />}
      {data.mayEdit && <NoPrices data={data} />}
      {data.sizes.length > 0 && <Sizes sizes={data.sizes} />}
    </div>
  );
}

/** Sizes that follow the plate. */
function Sizes({ sizes }: Pick<PlateData, 'sizes'>) {
  const { money, bare } = useFormatters();
  return (
    <section className="mt-4" aria-label={texts.sizes}>
      <h2>{texts.sizes}</h2>
      <SheetTable className="list-table">
        <thead>
          <tr>
            <th scope="col">{texts.dishHeading}</th>
            <th scope="col">{texts.menu}</th>
            <th scope="col">{texts.foodCost}</th>
            <th scope="col">{texts.targetInline}</th>
            <th scope="col">{texts.costs}</th>
          </tr>
        </thead>
        <tbody>
          {sizes.map((s) => (
            <tr key={s.id}>
              <td>
                <Link prefetch={false} href={`/pour/${s.id}`}>
                  {s.name}
                </Link>
              </td>
              <td className="fig">{s.menuPrice === undefined ? '–' : money(Number(s.menuPrice))}</td>
              <td className="fig">{s.foodCostPct === null ? '–' : `${bare(s.foodCostPct, 1)} %`}</td>
              <td>
                <FoodCostVerdict pct={s.foodCostPct} target={s.target} />
              </td>
              <td className="fig strong">{money(s.cost)}</td>
            </tr>
          ))}
        </tbody>
      </SheetTable>
    </section>
  );
}

/** What stands on the plate and has no price yet, asked for one after the other. */
function NoPrices({ data }: { readonly data: PlateData }) {
  const missing = useMissing();
  const router = useRouter();
  const first = data.lines.find((l) => l.perG === null && 'ingredient' in l.of);
  if (!missing || !first || !('ingredient' in first.of)) return null;
  const { ingredient } = first.of;
  return (
    <section className="mt-3" aria-label={texts.whatNoPriceYet}>
      <missing.NoPrice
        key={ingredient}
        ingredient={ingredient}
        name={first.name}
        there={() => router.refresh()}
      />
    </section>
  );
}

/** Lines that come and go: kept at once, and the page read again with them. */
function useLines(data: PlateData, plate: ReturnType<typeof usePlate>) {
  const [keep, state] = useSave();
  const tell = useToast();
  const now = data.lines.map((l, i) => ({
    id: l.id,
    of: l.of as Platable['of'],
    amount: plate.amounts[i] ?? l.amount,
    ...(l.overfillPct === undefined ? {} : { overfillPct: l.overfillPct }),
    ...(l.takenPct === undefined ? {} : { takenPct: l.takenPct }),
    ...(l.packaging ? { packaging: true as const } : {}),
  }));
  const put = (lines: typeof now): Promise<boolean> =>
    keep(async (seen) => {
      const answer = await savePlateLines({ id: data.plate.id, seen: seen ?? plate.version(), lines });
      // A price may be kept before the page has come back with the line.
      if (answer.ok) plate.keptAs(answer.version);
      return answer;
    });
  return {
    trouble: state.message,
    add: (of: Platable['of'], amount: string): Promise<boolean> => put([...now, { id: v7(), of, amount }]),
    remove: (i: number): void => {
      void put(now.filter((_, j) => j !== i)).then(
        (ok) => ok && tell(texts.removed(data.lines[i]?.name ?? ''), () => void put(now)),
      );
    },
  };
}

/** What a line of the plate is, how much of it is usable, and what is wrong with its portion. */
function WhatItIs({
  line,
  live,
  data,
  plate,
  noteId,
}: Omit<ShownPlate, 'ids'> & {
  readonly line: PlateData['lines'][number];
  readonly live: LiveLine | undefined;
  readonly noteId: string;
}) {
  const { bare } = useFormatters();
  return (
    <>
      <Link prefetch={false} href={line.href}>
        {line.name}
      </Link>
      {line.yield && (
        <div className="quiet small-line">
          <span className={line.yield.guess ? 'estimate' : ''}>{bare(line.yield.pct, 1)} %</span>{' '}
          {texts.usableEstimateMeasured(line.yield.guess, line.yield.basis)}
        </div>
      )}
      <CountedAs line={line} live={live} plate={plate} mayEdit={data.mayEdit} />
      <ServedWords line={line} />
      <Followed line={line} data={data} plate={plate} />
      <OverBatch line={line} live={live} />
      {live?.trouble && (
        <div id={noteId} role="alert" className="trouble">
          {live.trouble}
        </div>
      )}
    </>
  );
}

/** Of a size: whether it stands as on the plate it follows. */
function Followed({
  line,
  data,
  plate,
}: {
  readonly line: PlateData['lines'][number];
  readonly data: PlateData;
  readonly plate: ReturnType<typeof usePlate>;
}) {
  const { amountThere: there } = line;
  const i = data.lines.indexOf(line);
  if (there === undefined || plate.amounts[i] === there) return null;
  return (
    <div className="quiet small-line">
      {texts.differsFromDish(there)}{' '}
      {data.mayEdit && (
        <Button
          variant="plain"
          size="sm"
          aria-label={texts.letFollowDishAgain(line.name)}
          onClick={() => plate.followAgain(i, there)}
        >
          {texts.followAgain}
        </Button>
      )}
    </div>
  );
}

/** More of it on one plate than its pot makes. */
function OverBatch({
  line,
  live,
}: {
  readonly line: PlateData['lines'][number];
  readonly live: LiveLine | undefined;
}) {
  const { kilos } = useFormatters();
  if (line.batchG === undefined || live?.g === undefined || live.g <= line.batchG * (1 + 1e-9)) return null;
  return (
    <div className="warning small-line" role="status">
      {texts.oneDishMoreThan(kilos(live.g), kilos(line.batchG))}
    </div>
  );
}

/** One thing on the plate: its portion as typed, and how much of the cost it is. */
function Line({
  i,
  data,
  plate,
  most,
  ids,
  remove,
}: ShownPlate & { readonly i: number; readonly most: number; readonly remove: (() => void) | undefined }) {
  const { small, kilos } = useFormatters();
  const line = data.lines[i] as PlateData['lines'][number];
  const live = plate.lines[i];
  return (
    <tr>
      <td>
        <WhatItIs line={line} live={live} data={data} plate={plate} noteId={`${ids}-${i}`} />
      </td>
      <td>
        <TypedField
          label={texts.portionName(line.name)}
          value={plate.opened.amounts[i] ?? ''}
          understood={(t) => workedOut(t, plate.manner)}
          trouble={live?.trouble}
          describedBy={`${ids}-${i}`}
          disabled={!data.mayEdit}
          asks={(t) => plate.asksAmount(i, t)}
          onTyped={(t) => plate.typeAmount(i, t)}
          onDone={(t) => plate.keepAmount(i, t)}
        />
      </td>
      <td className="fig">{live?.g === undefined ? '–' : kilos(live.g)}</td>
      <td className="bar-cell">
        <i style={{ width: `${((live?.cost ?? 0) / most) * 100}%` }} />
      </td>
      <td className="fig strong">
        {live?.cost === null || live === undefined ? (
          <span className="incomplete">{texts.incomplete}</span>
        ) : (
          <WhyFigure
            of={line.key}
            label={texts.dishName(line.name)}
            className={line.yield?.guess ? 'estimate' : ''}
          >
            {small(live.cost)}
          </WhyFigure>
        )}
      </td>
      <td className="text-nowrap">
        {data.mayEdit && <HowServed line={line} data={data} version={plate.version} />}
        {remove && (
          <Button variant="tool" size="sm" aria-label={texts.removeName(line.name)} onClick={remove}>
            <X size={16} aria-hidden="true" />
          </Button>
        )}
      </td>
    </tr>
  );
}

/** What a count was taken for, where something is cut off what is counted. */
function CountedAs({
  line,
  live,
  plate,
  mayEdit,
}: {
  readonly line: PlateData['lines'][number];
  readonly live: LiveLine | undefined;
  readonly plate: ReturnType<typeof usePlate>;
  readonly mayEdit: boolean;
}) {
  const { kilos } = useFormatters();
  if (live?.g === undefined || live.wholeG === undefined) return null;
  if (plate.isTrimmed(line))
    return (
      <div className="warning small-line">
        {texts.countedTrimmedPiecesDish}{' '}
        {mayEdit && (
          <Button variant="plain" size="sm" onClick={() => plate.countAsBought(line.id)}>
            {texts.countBought}
          </Button>
        )}
      </div>
    );
  if (live.g === live.wholeG) return null;
  return <div className="quiet small-line">{texts.bought(kilos(live.g), kilos(live.wholeG))}</div>;
}
