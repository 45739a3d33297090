'use client';

import { useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { TroubleText } from '@/ui/forms/trouble-text';
import { takeDegrees, takeKilos } from '../../actions';
import type { UnsentEvent } from './use-batch-estimate';
import * as texts from './texts';

/** What can be read with figures: how it is asked for, and what it must lie between. */
const READINGS = {
  dip: { name: 'Dip', asks: texts.cmBelowRim, unit: 'cm', most: 300 },
  spoon: { name: 'Spoon', asks: texts.cmBelowRimHandle, unit: 'cm', most: 300 },
  litres: { name: 'Litres', asks: texts.jug, unit: 'l', most: 2000 },
  kilos: { name: 'Kilos', asks: texts.withoutPot, unit: 'kg', most: 3000 },
  salt: { name: 'Salt', asks: texts.meter, unit: '%', most: 40 },
  brix: { name: '°Bx', asks: texts.strainedWithoutFat, unit: '°Bx', most: 85 },
  degrees: { name: 'Degrees', asks: texts.probe, unit: '°C', most: 300 },
} as const;
type Kind = keyof typeof READINGS;

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫'] as const;
const MOST_TYPED = 6;

const told = (kind: Kind, value: number, celsius: number | undefined): UnsentEvent => {
  switch (kind) {
    case 'dip':
      return { is: 'dip', cm: value, with: 'ruler', ...(celsius === undefined ? {} : { celsius }) };
    case 'spoon':
      return { is: 'dip', cm: value, with: 'spoon', ...(celsius === undefined ? {} : { celsius }) };
    case 'litres':
      return { is: 'litres', l: value };
    case 'kilos':
      return { is: 'kilos', kg: value };
    case 'salt':
      return { is: 'salt', pct: value };
    case 'brix':
      return { is: 'brix', bx: value };
    case 'degrees':
      return { is: 'degrees', celsius: value };
  }
};

/** What was read: one of a few, and what else is to be said of it. */
const Kinds = ({
  kind,
  choose,
  children,
}: {
  readonly kind: Kind;
  readonly choose: (kind: Kind) => void;
  readonly children: ReactNode;
}) => (
  <div className="kinds" role="group" aria-label={texts.readings}>
    {(Object.keys(READINGS) as Kind[]).map((k) => (
      <Button
        key={k}
        variant={k === kind ? 'primary' : 'outline-primary'}
        aria-pressed={k === kind}
        onClick={() => choose(k)}
      >
        {READINGS[k].name}
      </Button>
    ))}
    {children}
  </div>
);

/** What is typed after one more key. */
function pressed(typed: string, key: (typeof KEYS)[number]): string {
  if (key === '⌫') return typed.slice(0, -1);
  if (key === '.' && typed.includes('.')) return typed;
  return typed.length < MOST_TYPED ? typed + key : typed;
}

const keyName = (key: (typeof KEYS)[number], mark: string): string =>
  key === '⌫' ? texts.deleteLastDigit : key === '.' ? mark : key;

/** Figures, the mark, and one to take the last away. */
const Keys = ({
  mark,
  press,
}: {
  readonly mark: string;
  readonly press: (key: (typeof KEYS)[number]) => void;
}) => (
  <div className="keys">
    {KEYS.map((key) => (
      <Button key={key} variant="plain" aria-label={keyName(key, mark)} onClick={() => press(key)}>
        {key === '.' ? mark : key}
      </Button>
    ))}
  </div>
);

/** What is typed so far, or what is asked for. */
const ReadOut = ({
  typed,
  asks,
  unit,
}: Pick<(typeof READINGS)[Kind], 'asks' | 'unit'> & { readonly typed: string }) => (
  <output className="read-out" aria-label={texts.typedFar}>
    {typed === '' ? <span className="quiet">{asks}</span> : typed} <small>{unit}</small>
  </output>
);

/** Readings by large keys: what was read, its figure, and it is told. */
export function Keypad({
  batch,
  mark,
  stands,
  tell,
}: {
  readonly batch: string;
  readonly mark: string;
  /** °C the pot should have on its fire, and has cooled to since its heat went off. */
  readonly stands: { readonly hot: number | undefined; readonly cooled: number | undefined };
  readonly tell: (what: UnsentEvent) => Promise<boolean>;
}) {
  const [kind, setKind] = useState<Kind>('dip');
  const [typed, setTyped] = useState('');
  const cold = useCold(stands);
  const { asks, unit, most } = READINGS[kind];
  const value = Number(typed);
  const wrong =
    typed !== '' && !(value >= 0 && value <= most) ? texts.outOfRange(typed, unit, most) : undefined;
  const nothing = value === 0 && (kind === 'litres' || kind === 'kilos');
  // The keys are free for the next figure at once; one that was not taken stands there again.
  const go = (): void => {
    setTyped('');
    void tell(told(kind, value, cold.celsius)).then((ok) => {
      if (!ok) setTyped((since) => (since === '' ? typed : since));
    });
  };
  return (
    <section className="keypad" aria-label={texts.reading}>
      <Kinds
        kind={kind}
        choose={(k) => {
          setKind(k);
          setTyped('');
        }}
      >
        {(kind === 'dip' || kind === 'spoon') && <IsCold {...cold} />}
      </Kinds>
      {(kind === 'degrees' || kind === 'kilos') && (
        <Instrument key={kind} kind={kind} batch={batch} set={setTyped} />
      )}
      <ReadOut typed={typed.replace('.', mark)} asks={asks} unit={unit} />
      <Keys mark={mark} press={(key) => setTyped((t) => pressed(t, key))} />
      <Button
        size="lg"
        className="w-100"
        disabled={typed === '' || wrong !== undefined || nothing}
        onClick={go}
      >
        {texts.saveReading}
      </Button>
      <TroubleText says={wrong} />
      {kind === 'brix' ? <Gels tell={tell} /> : <Tastes tell={tell} />}
    </section>
  );
}

/** °C of a pot that stands about; and at which it makes no difference any more whether it is called cold. */
const ROOM = 20;
const WARM = 40;

/**
 * Whether a dip is of a pot that has cooled: hot it stands up to 4 % higher. One whose heat is off is taken as it has cooled, unless somebody says
 * otherwise; one on its fire as hot as it should be.
 */
function useCold({ hot, cooled }: Parameters<typeof Keypad>[0]['stands']) {
  const [said, setSaid] = useState<boolean>();
  const is = said ?? cooled !== undefined;
  const celsius = Math.round(cooled ?? ROOM);
  return {
    celsius: is && hot !== undefined && hot >= WARM ? celsius : undefined,
    words:
      hot === undefined || hot < WARM
        ? undefined
        : cooled === undefined
          ? texts.cold
          : texts.cooledC(celsius),
    turn: (): void => setSaid(!is),
  };
}

/** Says of a dip that the pot has cooled; nothing is asked of one that is no warmer than the house. */
const IsCold = ({ words, celsius, turn }: ReturnType<typeof useCold>) =>
  words === undefined ? null : (
    <Button
      className="is-cold"
      variant={celsius === undefined ? 'outline-primary' : 'primary'}
      aria-pressed={celsius !== undefined}
      onClick={turn}
    >
      {words}
    </Button>
  );

/** Takes a reading from the probe or the scale into what is typed: a cook looks at it before it is told. */
function Instrument({
  kind,
  batch,
  set,
}: {
  readonly kind: 'degrees' | 'kilos';
  readonly batch: string;
  readonly set: (typed: string) => void;
}) {
  const [says, setSays] = useState<string>();
  const [busy, setBusy] = useState(false);
  const take = async (): Promise<void> => {
    setBusy(true);
    const taken = await (kind === 'degrees' ? takeDegrees() : takeKilos(batch)).catch(() => ({
      ok: false as const,
      message: texts.serverDoesNotAnswer,
    }));
    setBusy(false);
    setSays(taken.ok ? undefined : taken.message);
    if (taken.ok) set(String(taken.value).slice(0, MOST_TYPED));
  };
  return (
    <>
      <Button variant="outline-primary" className="w-100 mb-2" disabled={busy} onClick={() => void take()}>
        {kind === 'degrees' ? texts.useProbe : texts.useScale}
      </Button>
      <TroubleText says={says} />
    </>
  );
}

/** How a spoonful sets that was put in the cold: it says roughly how much gelatin there is. */
const SETS = [texts.staysLiquid, 'wobbles', 'cuts'] as const;
const Gels = ({ tell }: { readonly tell: (what: UnsentEvent) => Promise<boolean> }) => (
  <>
    <p className="m-0">{texts.orSpoonfulChilled}</p>
    <div className="tastes" role="group" aria-label={texts.spoonfulChilled}>
      {SETS.map((how) => (
        <Button key={how} variant="outline-primary" onClick={() => void tell({ is: 'sets', how })}>
          {how}
        </Button>
      ))}
    </div>
  </>
);

/** What a spoon says. */
const Tastes = ({ tell }: { readonly tell: (what: UnsentEvent) => Promise<boolean> }) => (
  <div className="tastes" role="group" aria-label={texts.taste}>
    {(['thin', 'thick'] as const).map((thick) => (
      <Button key={thick} variant="outline-primary" onClick={() => void tell({ is: 'taste', thick })}>
        {texts.too(thick)}
      </Button>
    ))}
    {(['flat', 'salty'] as const).map((salt) => (
      <Button key={salt} variant="outline-primary" onClick={() => void tell({ is: 'taste', salt })}>
        {texts.too(salt)}
      </Button>
    ))}
    <Button
      variant="outline-primary"
      onClick={() => void tell({ is: 'taste', thick: 'right', salt: 'right' })}
    >
      {texts.right}
    </Button>
  </div>
);
