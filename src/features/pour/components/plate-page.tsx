'use client';

import Link from 'next/link';
import { useId, type CSSProperties } from 'react';
import Stack from 'react-bootstrap/Stack';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import type { PlateData } from '../queries';
import { PlateAnswer } from './plate-answer';
import { PlateLines } from './plate-lines';
import { PlateTools } from './plate-tools';
import { usePlate } from './use-plate';
import * as texts from './texts';

/** Width of what stands beside the plate's lines. */
const SIDE = { '--side': '300px' } as CSSProperties;

/** How much of each portion a size has, in words. */
const sizeWords = (size: number, bare: (x: number, digits?: number) => string): string =>
  size === 0.5 ? 'Half' : size < 1 ? `${bare(size * 100, 0)} %` : texts.times(bare(size, size % 1 ? 2 : 0));

/** A plate: what stands on it, in which portions, and what that costs. */
export function PlatePage({ data }: { data: PlateData }) {
  const plate = usePlate(data);
  const { bare } = useFormatters();
  const ids = useId();
  return (
    <>
      <h1>{data.plate.name}</h1>
      <p className="lead-line">
        {data.parent ? (
          <>
            {texts.eachPortion(sizeWords(data.written.follows?.size ?? 1, bare))}{' '}
            <Link prefetch={false} href={`/pour/${data.parent.id}`}>
              {data.parent.name}
            </Link>
            {texts.exceptWhereChangedHere}
          </>
        ) : (
          texts.typeAnotherPortionOr
        )}
      </p>
      <Stack direction="horizontal" gap={3} className="justify-content-between flex-wrap">
        <PlateTools data={data} version={plate.version} />
        <LayerSwitch />
      </Stack>
      <div className="beside narrow-side" style={SIDE}>
        <PlateLines data={data} plate={plate} ids={ids} />
        <PlateAnswer data={data} plate={plate} ids={ids} />
      </div>
    </>
  );
}
