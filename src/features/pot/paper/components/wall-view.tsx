'use client';

import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { allergenWords, WALL_ENDS } from '@/core/safety';
import { useFormatters } from '@/ui/formatters-context';
import { sizeWords, versionWords } from '../words';
import type { WallSheet } from '../queries';
import * as texts from './texts';

/** A sheet as it hangs on the wall or stands on a shelf: steps in large type, the dip to look for, boxes to write in. */
export function WallView({ sheet, query }: { readonly sheet: WallSheet; readonly query: string }) {
  const figures = useFormatters();
  return (
    <>
      <div className="page-head">
        <h1>{sheet.name}</h1>
        <p className="lead-line mb-1">{sizeWords(sheet, figures)}</p>
        <p className="quiet small-line mb-1">{versionWords(sheet.version, figures)}</p>
        {sheet.note && <p className="lead-line">{sheet.note}</p>}
        {sheet.ways.length > 0 && <p className="mb-1">{sheet.ways.join(' · ')}</p>}
        {sheet.trouble !== undefined && (
          <p role="alert" className="trouble">
            {sheet.trouble}
          </p>
        )}
        <WallTools id={sheet.id} query={query} />
      </div>
      <ol className="wall">
        {sheet.steps.map((s) => (
          <WallRow key={s.n} step={s} />
        ))}
      </ol>
      <p className={sheet.allergens.length > 0 ? 'strong' : 'quiet'}>
        {sheet.allergens.length === 0 ? allergenWords.none : allergenWords.contains(sheet.allergens)}
      </p>
      <p className="quiet small-line">{WALL_ENDS}</p>
    </>
  );
}

function WallTools({ id, query }: { readonly id: string; readonly query: string }) {
  return (
    <div className="thing-tools no-print">
      <a
        className="btn btn-plain btn-sm"
        href={`/pot/${id}/wall.pdf${query}`}
        target="_blank"
        rel="noreferrer"
      >
        {texts.pdfWall}
      </a>
      <a className="btn btn-plain btn-sm" href={`/pot/${id}/card.pdf`} target="_blank" rel="noreferrer">
        {texts.costCardPdf}
      </a>
      <Button variant="plain" size="sm" onClick={() => window.print()}>
        {texts.printPage}
      </Button>
      <Link prefetch={false} className="btn btn-plain btn-sm" href={`/pot/${id}`}>
        {texts.backSheet}
      </Link>
    </div>
  );
}

/** One step: a box to tick, what to do, what to look for, boxes to write in. */
function WallRow({ step: s }: { readonly step: WallSheet['steps'][number] }) {
  const { bare, litres, hours } = useFormatters();
  return (
    <li>
      <Form.Check className="wall-tick" type="checkbox" id={`done-${s.n}`} aria-label={texts.stepDone(s.n)} />
      <label className="wall-said" htmlFor={`done-${s.n}`}>
        <b>{s.said}</b>
        {s.vessel !== undefined && <span className="quiet">{texts.now(s.vessel)}</span>}
        {s.note !== undefined && <span className="step-note">{s.note}</span>}
        {s.warnings.map((w) => (
          <span key={w} className="warning">
            {w}
          </span>
        ))}
        {s.caution !== undefined && <span className="caution">{s.caution}</span>}
      </label>
      <span className="wall-look">
        {s.dipCm !== undefined && <b className="fig">{texts.cm(bare(s.dipCm, 1))}</b>}
        <span className="quiet">
          {[
            ...(s.dipCm === undefined ? [] : [texts.fromRim(s.hot)]),
            ...(s.litres === undefined ? [] : [litres(s.litres * 1000)]),
          ].join(', ')}
        </span>
        {s.hours !== undefined && <span className="quiet">{texts.takes(hours(s.hours))}</span>}
      </span>
      <span className="wall-box">{texts.dipRead}</span>
      <span className="wall-box">{texts.timeWho}</span>
    </li>
  );
}
