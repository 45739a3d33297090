'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { BESIDE, layerName, layerText } from '@/core/layers';
import { saveCountedLayers } from './counted-layers';
import { useFormatters } from '../formatters-context';
import { SidePanel } from '../panels/side-panel';
import * as texts from './texts';

/** What is counted in costs, and the one switch for it: the same on every page that shows a cost. */
export function LayerSwitch() {
  const { counted } = useFormatters();
  const router = useRouter();
  // What is chosen shows at once; the figures follow when the page has been read with it.
  const [chosen, setChosen] = useState(counted);
  const set = (layer: (typeof BESIDE)[number], on: boolean): void => {
    const next = BESIDE.filter((l) => (l === layer ? on : chosen.includes(l)));
    setChosen(next);
    saveCountedLayers(next);
    router.refresh();
  };
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="plain" size="sm" className="flex-shrink-0" onClick={() => setOpen(true)}>
        {texts.showing(layerText(counted))}
      </Button>
      <SidePanel title={texts.whatCountsCosts} open={open} close={() => setOpen(false)}>
        <Form.Check id="counted-ingredients" label={texts.ingredientsAlways} checked disabled readOnly />
        {BESIDE.map((layer) => (
          <Form.Check
            key={layer}
            id={`counted-${layer}`}
            className="mt-2"
            label={layerName(layer)}
            checked={chosen.includes(layer)}
            onChange={(event) => set(layer, event.target.checked)}
          />
        ))}
        <p className="quiet small-line mt-3">{texts.appliesDeviceDishesPots}</p>
      </SidePanel>
    </>
  );
}
