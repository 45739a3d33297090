'use client';

import { Scale, X } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import Alert from 'react-bootstrap/Alert';
import Badge from 'react-bootstrap/Badge';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import InputGroup from 'react-bootstrap/InputGroup';
import ListGroup from 'react-bootstrap/ListGroup';
import Nav from 'react-bootstrap/Nav';
import Placeholder from 'react-bootstrap/Placeholder';
import Row from 'react-bootstrap/Row';
import Spinner from 'react-bootstrap/Spinner';
import Stack from 'react-bootstrap/Stack';
import Toast from 'react-bootstrap/Toast';
import { Combo, type ComboOption } from './forms/combo';
import { DataTable, type Column } from './tables/data-table';
import { DayField } from './forms/day-field';
import { FormattersProvider, useFormatters } from './formatters-context';
import { ProgressMeter } from './drawings/progress-meter';
import { LitreJug } from './drawings/litre-jug';
import { Panel } from './panels/panel';
import { PotSection } from './drawings/pot-section';
import { TroubleText } from './forms/trouble-text';
import { TypedField } from './forms/typed-field';
import { useSearch } from './tables/use-search';
import { WhyFigure } from './panels/why';

const WORDS = { locale: 'en-IE', currency: 'EUR', today: '2026-03-14' };

/** Every component in our look, each once, for anyone who builds a screen: docs/components.md shows it by day and by night. */
export const AllComponents = () => (
  <FormattersProvider words={WORDS}>
    <main className="p-0" style={{ maxWidth: 'none' }}>
      <h1 className="visually-hidden">Components</h1>
      {(['light', 'dark'] as const).map((theme) => (
        <div key={theme} data-bs-theme={theme} className="bg-body p-4" style={{ color: 'var(--iron)' }}>
          <h2 className="fs-3">{theme === 'light' ? 'By day' : 'By night'}</h2>
          <Row className="g-4">
            <Col md={4}>
              <Buttons />
              <Fields theme={theme} />
            </Col>
            <Col md={4}>
              <Notices />
              <Waits />
            </Col>
            <Col md={4}>
              <Figures />
            </Col>
          </Row>
          <Tables />
          <Drawings />
        </div>
      ))}
    </main>
  </FormattersProvider>
);

const Named = ({ name, children }: { readonly name: string; readonly children: ReactNode }) => (
  <section aria-label={name}>
    <h2>{name}</h2>
    {children}
  </section>
);

const Buttons = () => (
  <Named name="Button, Nav, Badge">
    <Stack direction="horizontal" gap={2} className="flex-wrap mb-2">
      <Button>Save</Button>
      <Button variant="outline-primary">Test again</Button>
      <Button variant="plain">Add line</Button>
      <Button variant="plain" size="sm">
        <Scale size={15} aria-hidden="true" /> Take
      </Button>
      <Button variant="link" size="sm">
        leave out
      </Button>
      <Button variant="tool" size="sm" aria-label="Remove">
        <X size={15} aria-hidden="true" />
      </Button>
      <Button disabled>Not yet</Button>
    </Stack>
    <Nav variant="underline" defaultActiveKey="a" className="station-nav">
      <Nav.Link eventKey="a">Price book</Nav.Link>
      <Nav.Link eventKey="b">Larder</Nav.Link>
    </Nav>
    <Nav variant="pills" defaultActiveKey="a" className="verdicts gap-2 my-2">
      <Nav.Link eventKey="a">
        <b>12</b> moved
      </Nav.Link>
      <Nav.Link eventKey="b">
        <b>3</b> unusual: check
      </Nav.Link>
    </Nav>
    <Badge bg="secondary">by PIN</Badge> <Badge bg="danger">over its target</Badge>
  </Named>
);

const POTS: readonly ComboOption[] = [
  { id: 'a', name: 'Stockpot 36 l', says: 'round, 40 cm' },
  { id: 'b', name: 'Rondeau 40 cm' },
];

function Fields({ theme }: { readonly theme: string }) {
  const [pot, setPot] = useState<ComboOption | undefined>(POTS[0]);
  const [day, setDay] = useState('2026-03-14');
  return (
    <Named name="Fields">
      <div className="stacked">
        <Combo label="Stands in" chosen={pot} choose={setPot} find={useSearch(POTS)} />
        <DayField label="Costs as of" lead="Costs as of" value={day} onChange={setDay} max="2026-03-14" />
        <InputGroup>
          <InputGroup.Text>in order</InputGroup.Text>
          <Form.Select aria-label="Order">
            <option>by name</option>
          </Form.Select>
        </InputGroup>
        <Form.Control aria-label="Wrong" isInvalid defaultValue="eleven" />
        <TroubleText says="“eleven” is not a price." />
        <Form.Check id={`check-${theme}`} label="take those list prices back too" defaultChecked />
        <Form.Check id={`radio-${theme}`} type="radio" label="by the part used, the rest back in store" />
        <span>
          per kilo at{' '}
          <TypedField
            label="A kilo"
            value="2.40"
            unit="€"
            onTyped={() => undefined}
            onDone={() => undefined}
          />
        </span>
      </div>
    </Named>
  );
}

const Notices = () => (
  <Named name="Alert, Toast, words">
    <Alert variant="primary" role="status">
      The tests say usable yield 56.9 % instead of 62.0.
    </Alert>
    <Alert variant="success" role="status">
      ✓ Accepted: this is what changed.
    </Alert>
    <Alert variant="danger" role="status">
      Two people wrote here: both are shown.
    </Alert>
    <Toast className="mb-2" data-bs-theme="dark">
      <Toast.Body className="d-flex align-items-center gap-3">
        “simmer 4 min” is taken out.
        <Button size="sm" variant="outline-light" className="ms-auto">
          Undo
        </Button>
      </Toast.Body>
    </Toast>
    <p className="warning mb-1">Stands 3.1 l over the fill line: divide the batch.</p>
    <p className="small-line cheaper mb-1">✓ saved</p>
    <p className="quiet mb-0">Until then nothing changes.</p>
  </Named>
);

const Waits = () => (
  <Named name="Spinner, ProgressBar, Placeholder">
    <Button disabled className="mb-3">
      <Spinner size="sm" className="me-2" aria-hidden="true" />
      Saving …
    </Button>
    <ProgressMeter now={62} label="How far it is" />
    <Placeholder as="p" animation="glow" className="mt-3 mb-0" aria-label="Looking it up">
      <Placeholder xs={7} /> <Placeholder xs={4} /> <Placeholder xs={9} />
    </Placeholder>
  </Named>
);

const Figures = () => (
  <Named name="Card and its figures">
    <Panel aria-label="A dish">
      <div>
        <span className="fig-large hot">
          <WhyFigure of="plate:x" label="A dish">
            €8.25
          </WhyFigure>
        </span>
        <span className="fig-label">per dish, ingredients</span>
      </div>
      <dl className="facts">
        <dt>Net of tax</dt>
        <dd className="fig">€25.55</dd>
        <dt>Usable</dt>
        <dd>
          <span className="estimate">68.0 %</span>
        </dd>
        <dt>Target</dt>
        <dd className="dearer">▲ over 32 %</dd>
        <dt>Moved</dt>
        <dd className="cheaper">▼ 1 %</dd>
        <dt>Not known</dt>
        <dd className="incomplete">incomplete</dd>
      </dl>
      <ListGroup variant="flush">
        <ListGroup.Item>a ladle is 120 ml</ListGroup.Item>
        <ListGroup.Item>a fishbox is 6 kg</ListGroup.Item>
      </ListGroup>
    </Panel>
  </Named>
);

interface Pot {
  readonly name: string;
  readonly ml: number;
  readonly perL: number;
}
const ROWS: readonly Pot[] = [
  { name: 'Venison bone stock', ml: 10_400, perL: 2.59 },
  { name: 'Juniper sauce', ml: 2400, perL: 17.1 },
  { name: 'Sorrel sauce', ml: 2100, perL: 5.12 },
];

function Tables() {
  const { money, litres } = useFormatters();
  const columns = useMemo(
    (): Column<Pot>[] => [
      { id: 'name', head: 'Pot', by: (p) => p.name, cell: (p) => p.name },
      { id: 'litres', head: 'litres', by: (p) => p.ml, className: 'fig', cell: (p) => litres(p.ml) },
      {
        id: 'cost',
        head: '€ per litre',
        by: (p) => p.perL,
        className: 'fig fs-5 fw-bold',
        cell: (p) => money(p.perL),
      },
    ],
    [money, litres],
  );
  return (
    <Named name="Table that can be put in order">
      <DataTable className="list-table" columns={columns} rows={ROWS} rowKey={(p) => p.name} />
    </Named>
  );
}

const VESSEL = {
  id: 'v',
  name: 'Stockpot',
  shape: 'round',
  baseCm: 36,
  topCm: 40,
  heightCm: 32,
  maxFill: 0.85,
} as const;

const Drawings = () => (
  <Named name="The house’s own drawings">
    <Row>
      <Col xs={5}>
        <PotSection
          vessel={VESSEL}
          levelCm={14}
          heapCm={9}
          nowWords="now 10.4 l"
          marks={[{ name: 'filled', levelCm: 23, words: 'filled · 16.0 l' }]}
          hot
        />
      </Col>
      <Col xs={3}>
        <LitreJug
          strata={[
            { name: 'Venison bones', money: 1.6, estimate: false },
            { name: 'Carrot', money: 0.6, estimate: true },
            { name: 'Red wine', money: 0.4, estimate: false },
          ]}
        />
      </Col>
      <Col xs={4}>
        <div className="weigh-bar">
          {(['usable', 'stock-trim', 'by-product', 'waste'] as const).map((fate, i) => (
            <div key={fate} className={`fate-${fate}`} style={{ flexGrow: 4 - i }}>
              <span>
                <b>{40 - i * 10} %</b>
              </span>
            </div>
          ))}
          <div className="weigh-open" style={{ flexGrow: 1 }} />
        </div>
      </Col>
    </Row>
  </Named>
);
