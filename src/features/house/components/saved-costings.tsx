'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Table from 'react-bootstrap/Table';
import { LAYERS, layerName } from '@/core/layers';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { SavedCostings as Data, SavedCostingRow } from '../queries';
import { saveCosting, archiveCosting } from '../send';
import * as texts from './texts';

/** Costings somebody kept, beside what it costs now: no price, yield, recipe or model changes them afterwards. */
export function SavedCostingsTable({ data }: { readonly data: Data }) {
  const [keep, state] = useSave();
  const [open, setOpen] = useState<string>();
  const kept = data.kept.filter((k) => !k.away);
  const away = data.kept.filter((k) => k.away);
  if (kept.length === 0 && !data.mayKeep) return null;
  return (
    <section className="mt-4" aria-labelledby="kept-costings">
      <h2 id="kept-costings">{texts.savedCostings}</h2>
      {kept.length > 0 && (
        <Table responsive size="sm">
          <Head />
          <tbody>
            {kept.map((k) => (
              <KeptLine
                key={k.id}
                kept={k}
                now={data.now.ingredients ?? null}
                open={open === k.id}
                mayKeep={data.mayKeep && !state.busy}
                onOpen={() => setOpen(open === k.id ? undefined : k.id)}
                onAway={() => {
                  setOpen(undefined);
                  void keep(() => archiveCosting({ id: k.id, away: true }));
                }}
              />
            ))}
          </tbody>
        </Table>
      )}
      {data.mayKeep && (
        <Button
          variant="outline-primary"
          size="sm"
          disabled={state.busy}
          onClick={() => void keep(() => saveCosting({ what: data.what, subject: data.subject }))}
        >
          {texts.saveTodaysCost}
        </Button>
      )}{' '}
      {data.mayKeep && away.length > 0 && (
        <PutAway
          kept={away}
          busy={state.busy}
          onBack={(id) => void keep(() => archiveCosting({ id, away: false }))}
        />
      )}
      <TroubleText says={state.message} />
    </section>
  );
}

/** What has been put away is not gone: each can be brought back. */
function PutAway({
  kept,
  busy,
  onBack,
}: {
  readonly kept: readonly SavedCostingRow[];
  readonly busy: boolean;
  readonly onBack: (id: string) => void;
}) {
  const { day, money } = useFormatters();
  return (
    <details>
      <summary>{kept.length === 1 ? texts.oneArchived : texts.archived(kept.length)}</summary>
      {kept.map((k) => (
        <div key={k.id}>
          {day(k.on)}, {k.by}: {money(k.layers.ingredients)}{' '}
          <Button variant="link" size="sm" disabled={busy} onClick={() => onBack(k.id)}>
            {texts.restore}
          </Button>
        </div>
      ))}
    </details>
  );
}

const Head = () => (
  <thead>
    <tr>
      <th scope="col">{texts.kept}</th>
      <th scope="col">{texts.by}</th>
      {LAYERS.map((layer) => (
        <th scope="col" key={layer} className="fig">
          {layerName(layer)}
        </th>
      ))}
      <th scope="col" className="fig">
        {texts.ingredientsSince}
      </th>
      <th scope="col">
        <span className="visually-hidden">{texts.whatCanDone}</span>
      </th>
    </tr>
  </thead>
);

function KeptLine({
  kept,
  now,
  open,
  mayKeep,
  onOpen,
  onAway,
}: {
  readonly kept: SavedCostingRow;
  readonly now: number | null;
  readonly open: boolean;
  readonly mayKeep: boolean;
  readonly onOpen: () => void;
  readonly onAway: () => void;
}) {
  const { money, small, day } = useFormatters();
  const then = kept.layers.ingredients ?? null;
  const since = then === null || now === null ? undefined : now - then;
  return (
    <>
      <tr>
        <td>{day(kept.on)}</td>
        <td className="quiet">{kept.by}</td>
        {LAYERS.map((layer) => {
          const cost = kept.layers[layer] ?? null;
          return (
            <td key={layer} className={`fig${layer === 'ingredients' ? ' strong' : ''}`}>
              {cost === null ? <span className="quiet">{texts.notKnown}</span> : money(cost)}
            </td>
          );
        })}
        <td className="fig">
          {since === undefined
            ? ''
            : Math.abs(since) < 0.0005
              ? texts.nowInline
              : texts.nowValueSmall(since > 0 ? '+' : '−', small(Math.abs(since)))}
        </td>
        <td className="fig">
          <Button variant="link" size="sm" aria-expanded={open} onClick={onOpen}>
            {open ? texts.foldUp : texts.whatHeading}
          </Button>
          {mayKeep && (
            <Button variant="link" size="sm" onClick={onAway}>
              {texts.archive}
            </Button>
          )}
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={LAYERS.length + 4}>
            <Lines kept={kept} />
          </td>
        </tr>
      )}
    </>
  );
}

function Lines({ kept }: { readonly kept: SavedCostingRow }) {
  const { kilos, money, small } = useFormatters();
  return (
    <Table responsive size="sm">
      <tbody>
        {kept.lines.map((line, i) => (
          <tr key={i}>
            <td>{line.said}</td>
            <td className="fig">{line.amount ?? kilos(line.g ?? 0)}</td>
            <td className="fig quiet">{line.perKg === null ? '' : texts.perKilo(money(line.perKg))}</td>
            <td className="fig">{line.cost === null ? texts.notKnown : small(line.cost)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
