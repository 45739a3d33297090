'use client';

import {
  BaseEdge,
  Controls,
  getBezierPath,
  Handle,
  Position,
  ReactFlow,
  type EdgeProps,
  type NodeProps,
} from '@xyflow/react';
import type { Edge, Node } from '@xyflow/react';
import '@xyflow/react/dist/base.css';
import Link from 'next/link';
import { createContext, useContext, useMemo, type CSSProperties } from 'react';
import type { Family, Relative, Tie } from '@/core/costing';
import { useFormatters } from '@/ui/formatters-context';
import { BOX, familyLayout, lineWidth, tintOf } from '../layout';
import { costWords } from './kin-words';
import * as texts from './texts';

interface Acts {
  readonly of: string | undefined;
  readonly folded: ReadonlySet<string>;
  readonly mothers: ReadonlySet<string>;
  readonly fold: (id: string) => void;
  readonly shares: ReadonlyMap<string, number | null>;
}
const ActsContext = createContext<Acts | undefined>(undefined);

type Box = Node<{ readonly relative: Relative }, 'kin'>;
type Line = Edge<
  { readonly tie: Tie; readonly width: number; readonly colour: string; readonly words?: string | undefined },
  'tie'
>;

/** The least size at which a map is opened: names can be read at it; of a larger one a part is in sight. */
const LEGIBLE = 0.8;

/** px: the page is scrolled through a map; a very large one is pushed about in its frame. */
const [LOWEST, HIGHEST] = [340, 2400];

/** px of one more line in a box: what share of its cost comes from the one that is looked at. */
const ONE_MORE = 18;
const FILLS: CSSProperties = { width: '100%', height: '100%' };
const PRESSED = { pointerEvents: 'all' } as const;

const TYPES = { kin: Kin };
const LINES = { tie: TieLine };
/** What a line carries in a week: ml, or g of what comes from the bench, which are about as much. */
const carried = (tie: Tie, batches: number): number => (tie.ml || tie.g) * batches;

/** Copper as deep as a litre costs; steel where that is not known. */
const colourOf = (tint: number | undefined): string =>
  tint === undefined
    ? 'var(--steel)'
    : `color-mix(in srgb, var(--copper) ${Math.round(15 + tint * 85)}%, var(--broth))`;

/** Boxes and lines of a family. */
function useDrawn(family: Family, of: string | undefined) {
  const { litres } = useFormatters();
  return useMemo(() => {
    const box = { ...BOX, height: of === undefined ? BOX.height : BOX.height + ONE_MORE };
    const places = familyLayout(family, box);
    const by = new Map(family.relatives.map((r) => [r.id, r]));
    const tint = tintOf(family.relatives.filter((r) => r.is === 'pot').map((r) => r.cost));
    const batches = (t: Tie): number => by.get(t.to)?.batches ?? 1;
    const most = Math.max(0, ...family.ties.map((t) => carried(t, batches(t))));
    const nodes = family.relatives.map((relative): Box => ({
      id: relative.id,
      type: 'kin',
      position: places.get(relative.id) ?? { x: 0, y: 0 },
      ...box,
      // The links in it are there to be pressed, though boxes are neither moved nor marked.
      style: PRESSED,
      data: { relative },
    }));
    const edges = family.ties.map((tie, i): Line => ({
      id: `${i} ${tie.from} ${tie.to}`,
      type: 'tie',
      source: tie.from,
      target: tie.to,
      focusable: false,
      data: {
        tie,
        width: lineWidth(carried(tie, batches(tie)), most),
        colour:
          by.get(tie.from)?.is === 'bench' ? 'var(--bones)' : colourOf(tint(by.get(tie.from)?.cost ?? null)),
        words: of !== undefined && tie.from === of && tie.ml > 0 ? litres(tie.ml * batches(tie)) : undefined,
      },
    }));
    const width = Math.max(...nodes.map((n) => n.position.x)) + BOX.width + 12;
    const height = Math.max(...nodes.map((n) => n.position.y)) + box.height + 24;
    return { nodes, edges, width, height };
  }, [family, of, litres]);
}

/** Mothers to the left, daughters to the right, plates at the end: moved and made larger by pointer, and told in the outline below. */
export function FamilyMap({ family, ...acts }: Acts & { readonly family: Family }) {
  const { nodes, edges, width, height } = useDrawn(family, acts.of);
  return (
    <ActsContext value={acts}>
      <div
        className="family-map"
        style={{ height: Math.min(HIGHEST, Math.max(LOWEST, height)) }}
        role="group"
        aria-label={texts.familyTreeOutlineBelow}
      >
        <ReactFlow
          nodes={nodes}
          edges={edges}
          nodeTypes={TYPES}
          edgeTypes={LINES}
          onInit={(map) => {
            const wide = document.querySelector('.family-map')?.clientWidth ?? 0;
            void map.setViewport({ x: 0, y: 8, zoom: Math.min(1.1, Math.max(LEGIBLE, wide / width)) });
          }}
          zoomOnScroll={false}
          preventScrolling={false}
          minZoom={0.08}
          maxZoom={1.8}
          onlyRenderVisibleElements={nodes.length > 120}
          nodesDraggable={false}
          nodesConnectable={false}
          nodesFocusable={false}
          edgesFocusable={false}
          elementsSelectable={false}
          zoomOnDoubleClick={false}
          proOptions={{ hideAttribution: true }}
        >
          <Controls showInteractive={false} position="bottom-right" />
        </ReactFlow>
      </div>
    </ActsContext>
  );
}

/** One of the family: its name, what a batch gives and costs, and a way to fold its daughters away. */
function Kin({ data: { relative } }: NodeProps<Box>) {
  const acts = useContext(ActsContext);
  const figures = useFormatters();
  if (!acts) return null;
  const { id, is, name } = relative;
  const share = acts.shares.get(id);
  const names = ['kin', `kin-${is}`, id === acts.of ? 'chosen' : '', relative.over ? 'over' : ''];
  return (
    <div className={names.filter(Boolean).join(' ')} style={FILLS}>
      <Handle type="target" position={Position.Left} isConnectable={false} />
      <Link
        className="nodrag nopan"
        prefetch={false}
        href={`/pour/family?of=${encodeURIComponent(id)}`}
        title={name}
      >
        {name}
      </Link>
      <span className="fig">{costWords(relative, figures)}</span>
      {share !== undefined && share !== null && (
        <span className="fig">{texts.costFromHere(figures.bare(share * 100, 0))}</span>
      )}
      {acts.mothers.has(id) && (
        <button
          type="button"
          className="fold nodrag nopan"
          aria-expanded={!acts.folded.has(id)}
          aria-label={acts.folded.has(id) ? texts.showWhatUses(name) : texts.hideWhatUses(name)}
          onClick={() => acts.fold(id)}
        >
          {acts.folded.has(id) ? '+' : '−'}
        </button>
      )}
      <Handle type="source" position={Position.Right} isConnectable={false} />
    </div>
  );
}

type Ends = Pick<EdgeProps<Line>, 'sourceX' | 'sourceY' | 'targetX' | 'targetY'>;

/** A way round below the boxes, from the foot of one to the foot of the other, which may be the same. */
function underPath({ sourceX, sourceY, targetX, targetY }: Ends): [string, number, number] {
  const [x0, x1] = [sourceX - BOX.width * 0.35, targetX + BOX.width * 0.35];
  const [y0, y1] = [sourceY + (BOX.height + ONE_MORE) / 2, targetY + (BOX.height + ONE_MORE) / 2];
  const low = Math.max(y0, y1) + 26;
  return [`M${x0} ${y0} C${x0} ${low} ${x1} ${low} ${x1} ${y1}`, (x0 + x1) / 2, low - 4];
}

/** A line as wide as what it carries; what a last batch left is dotted. */
function TieLine({ id, data, ...ends }: EdgeProps<Line>) {
  if (!data) return null;
  const { last } = data.tie;
  const [path, x, y] = last ? underPath(ends) : getBezierPath(ends);
  return (
    <BaseEdge
      id={id}
      path={path}
      labelX={x}
      labelY={y}
      {...(data.words && !last ? { label: data.words } : {})}
      labelShowBg={false}
      labelStyle={LABEL}
      style={{
        stroke: data.tie.last ? 'var(--steel)' : data.colour,
        strokeWidth: data.tie.last ? 3 : data.width,
        ...(data.tie.last ? { strokeDasharray: '2 6' } : {}),
      }}
    />
  );
}
const LABEL = { font: '700 15px var(--numerals)', fill: 'var(--iron)' };
