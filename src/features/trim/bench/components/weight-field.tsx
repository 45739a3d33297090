'use client';

import Button from 'react-bootstrap/Button';
import { Scale } from 'lucide-react';
import { useId } from 'react';
import { useFormatters } from '@/ui/formatters-context';
import type { LiveWeight } from '@/core/bench';
import type { useScale } from './use-scale';
import * as texts from './texts';

interface Props {
  readonly label: string;
  /** Where it stands in the test: also what a taken weight is for. */
  readonly field: string;
  readonly value: string;
  readonly live: LiveWeight;
  readonly trouble?: string | undefined;
  readonly scale: ReturnType<typeof useScale> | undefined;
  readonly large?: boolean;
  readonly onTyped: (text: string) => void;
  /** Leaving the field, Enter, or a weight taken off the scale. */
  readonly onDone: (text: string) => void;
}

/** A scale's grams as they are written down: never three decimals, which could mean thousands. */
const written = (g: number): string => `${Math.round(g)} g`;

/** A weight: typed, worked out, or taken off the scale, which is waited for until it is steady. */
export function WeightField({ label, field, value, live, trouble, scale, large, onTyped, onDone }: Props) {
  const { kilos } = useFormatters();
  const id = useId();
  const taking = scale?.taking?.field === field ? scale.taking : undefined;
  const wrong = trouble ?? live.wrong ?? taking?.trouble;
  // A plain weight says itself what it comes to; arithmetic and pounds do not.
  const plain = /^\d+([.,]\d+)?\s*(g|kg)$/.test(value.trim());
  const understood = live.g !== undefined && !plain ? `= ${kilos(live.g)}` : undefined;
  const use = (g: number): void => {
    onTyped(written(g));
    onDone(written(g));
  };
  return (
    <div className={`weight-field${large ? ' weight-large' : ''}`}>
      <input
        className="typed"
        aria-label={label}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong ? id : undefined}
        autoComplete="off"
        placeholder={large ? texts.example52Kg : ''}
        value={taking?.reading && taking.g !== undefined ? written(taking.g) : value}
        readOnly={taking?.reading}
        onChange={(event) => onTyped(event.target.value)}
        onBlur={() => onDone(value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') onDone(value);
        }}
      />
      {scale && (
        <Button
          variant="plain"
          size="sm"

          aria-label={taking?.reading ? texts.stopWaiting(label) : texts.useScaleOf(label)}
          onClick={() => (taking?.reading ? scale.give() : void scale.take(field, use))}
        >
          <Scale size={17} aria-hidden="true" />
          {taking?.reading ? texts.settling : texts.useScale}
        </Button>
      )}
      {understood && !taking && <span className="typed-understood small-line quiet ms-1">{understood}</span>}
      {wrong && (
        <div id={id} role="alert" className="trouble">
          {wrong}
          {taking?.asItStands !== undefined && (
            <AsItStands
              g={taking.asItStands}
              onTake={(g) => {
                scale?.give();
                use(g);
              }}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** A weight that does not settle can be taken all the same: a person says so. */
function AsItStands({ g, onTake }: { readonly g: number; readonly onTake: (g: number) => void }) {
  return (
    <Button variant="plain" size="sm" onClick={() => onTake(g)}>
      {texts.useShown(written(g))}
    </Button>
  );
}
